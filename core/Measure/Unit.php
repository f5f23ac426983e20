<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** What a quantity is counted in. Whoever renders it may show it in another unit of the same kind. */
enum Unit: string
{
    case None = '';
    case Celsius = '°C';
    case Kelvin = 'K';
    case Kilogram = 'kg';
    case Gram = 'g';
    case Metre = 'm';
    case Centimetre = 'cm';
    case Millimetre = 'mm';
    case Litre = 'l';
    case Millilitre = 'ml';
    case Hour = 'h';
    case Minute = 'min';
    case Second = 's';
    case Duration = 'h min';
    case Percent = '%';
    case Degree = '°';
    case MetrePerSecond = 'm/s';
    case SquareCentimetre = 'cm²';
    case KilowattHour = 'kWh';
    case KilowattPerSquareMetre = 'kW/m²';
    case WattPerSquareMetre = 'W/m²';
    case WattPerSquareMetreKelvin = 'W/m²K';
    case SquareMetreKelvinPerWatt = 'm²K/W';
    case KilojoulePerKelvin = 'kJ/K';
    case MegajoulePerKilogram = 'MJ/kg';
    case NewtonMetre = 'N·m';
    case Megapascal = 'MPa';
    case Pascal = 'Pa';
    case QuarticMillimetre = 'mm⁴';
    case Kilowatt = 'kW';
}
