<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\User;
use Diatherm\Measure\Message;
use Diatherm\Measure\Nature;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;
use Illuminate\Support\Facades\Auth;

/**
 * Says messages in one reader's words and units, from the same file and by the same rules as the browser
 * (`resources/js/words`); a test holds the two against each other, message by message.
 */
final class Voice
{
    private const LOCALE = 'en';

    /** Source: NIST SP 811, appendix B. */
    private const INCH_CM = 2.54;

    private const FOOT_M = 0.3048;

    private const QUART_L = 0.9463529;

    private const OUNCES_IN_A_POUND = 16;

    private const FLUID_OUNCES_IN_A_QUART = 32;

    /** A cook does not weigh coals, wood or a carcass to the gram. */
    private const WHOLE_FROM_KG = 20.0;

    /** @var array<string, string>|null */
    private static ?array $sentences = null;

    private function __construct(
        private readonly bool $fahrenheit,
        private readonly bool $pounds,
        private readonly bool $halfDays,
    ) {
    }

    public static function inUnits(string $temperatureUnit, string $massUnit, int $clockHours = 24): self
    {
        return new self($temperatureUnit === 'f', $massUnit === 'lb', $clockHours === 12);
    }

    public static function metric(): self
    {
        return new self(false, false, false);
    }

    /** For whoever asks. */
    public static function ofTheReader(): self
    {
        $user = Auth::user();

        return $user instanceof User ? self::inUnits($user->temperature_unit, $user->mass_unit, $user->clock_hours) : self::metric();
    }

    public function say(Message $message): string
    {
        return $this->format($message->id, array_map(
            fn (mixed $value): string|int => $this->value($value, $message->id),
            $message->values,
        ));
    }

    /** @return array<string, string> by id, as ICU messages */
    public static function sentences(): array
    {
        if (self::$sentences === null) {
            /** @var array<string, string> $read */
            $read = json_decode(
                (string) file_get_contents(dirname(__DIR__, 2).'/lang/'.self::LOCALE.'.json'),
                true,
                4,
                JSON_THROW_ON_ERROR,
            );
            self::$sentences = $read;
        }

        return self::$sentences;
    }

    /** @param  array<string, string|int>  $values */
    private function format(string $id, array $values): string
    {
        $sentence = self::sentences()[$id] ?? throw new \LogicException("Nothing is said under $id.");
        $said = \MessageFormatter::formatMessage(self::LOCALE, $sentence, $values);

        return $said === false ? throw new \LogicException("$id: ".intl_get_error_message()) : $said;
    }

    private function value(mixed $value, string $id): string|int
    {
        return match (true) {
            $value instanceof Quantity => $this->quantity($value),
            $value instanceof Message => $this->say($value),
            $value instanceof \DateTimeImmutable => $this->halfDays ? $value->format('g:i')."\u{A0}".$value->format('a') : $value->format('H:i'),
            is_array($value) => $this->several($value, $id),
            is_int($value) => $value,
            default => is_string($value) ? $value : throw new \LogicException("$id: a value that nobody can say."),
        };
    }

    /** @param  array<array-key, mixed>  $parts */
    private function several(array $parts, string $id): string
    {
        $said = array_map(fn (mixed $part): string => (string) $this->value($part, $id), $parts);
        if ($id === Message::NOTES) {
            $said = array_map(fn (string $note): string => mb_strtoupper(mb_substr($note, 0, 1)).mb_substr($note, 1), $said);
        }

        return implode(self::sentences()["$id.between"] ?? self::sentences()['words.list.between'], $said);
    }

    public function quantity(Quantity $quantity): string
    {
        if (! is_finite($quantity->value)) {
            return '–';
        }
        $value = round($quantity->value, 4);
        $digits = $quantity->digits;

        return str_replace('-', '−', match ($quantity->unit) {
            Unit::None => $this->rounded($value, $digits),
            Unit::Celsius => $this->rounded($this->fahrenheit ? 1.8 * $value + 32.0 : $value, $digits).($this->fahrenheit ? ' °F' : ' °C'),
            Unit::Kelvin => $this->rounded($this->fahrenheit ? 1.8 * $value : $value, $digits).($this->fahrenheit ? ' °F' : ' °C'),
            Unit::Kilogram => $this->mass($value),
            Unit::Gram => $this->pounds ? $this->mass($value / 1000.0) : $this->rounded($value, $digits).' g',
            Unit::Metre => $this->pounds ? $this->rounded($value / self::FOOT_M, 1).' ft' : $this->rounded($value, $digits).' m',
            Unit::Centimetre => $this->pounds ? $this->rounded($value / self::INCH_CM, 1).' in' : $this->rounded($value, $digits).' cm',
            Unit::Litre => $this->pounds ? $this->volume($value) : $this->rounded($value, $digits).' l',
            Unit::Millilitre => $this->pounds ? $this->volume($value / 1000.0) : $this->rounded($value, $digits).' ml',
            Unit::Duration => $this->duration($value),
            Unit::Degree => $this->rounded($value, $digits).'°',
            default => $this->rounded($value, $digits).' '.$quantity->unit->value,
        });
    }

    private function mass(float $kg): string
    {
        return match (true) {
            $this->pounds && $kg > 0.0 && $kg < Nature::POUND_KG => $this->rounded(
                $kg / Nature::POUND_KG * self::OUNCES_IN_A_POUND,
                1,
            ).' oz',
            $this->pounds => $this->rounded($kg / Nature::POUND_KG, 1).' lb',
            $kg > 0.0 && $kg < 1.0 => $this->rounded($kg * 1000.0, 0).' g',
            default => $this->rounded($kg, $kg > 0.0 && $kg < self::WHOLE_FROM_KG ? 1 : 0).' kg',
        };
    }

    private function volume(float $litres): string
    {
        return $litres < self::QUART_L / 4.0
            ? $this->rounded($litres / self::QUART_L * self::FLUID_OUNCES_IN_A_QUART, 1).' fl oz'
            : $this->rounded($litres / self::QUART_L, 1).' qt';
    }

    private function duration(float $minutes): string
    {
        $whole = (int) floor(abs($minutes) + 0.5);

        return match (true) {
            $whole < 60 => "$whole min",
            $whole % 60 === 0 => intdiv($whole, 60).' h',
            default => sprintf('%d h %02d', intdiv($whole, 60), $whole % 60),
        };
    }

    /** Halves go up, as they do in the browser; null is as many decimals as it needs, up to two. */
    private function rounded(float $value, ?int $digits): string
    {
        $factor = 10 ** ($digits ?? 2);
        $text = number_format(floor($value * $factor + 0.5) / $factor, $digits ?? 2, '.', '');

        return $digits === null ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
