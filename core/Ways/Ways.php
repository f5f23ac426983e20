<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Measure\InvalidInput;
use Diatherm\Roast\RoastFile;

/** Two to four ways out of what came between, each worked out to its end. */
final class Ways
{
    private const MOST = 4;

    /** Less is no gain. Common practice. */
    private const GAINED_MINUTES = 4.0;

    /** @return list<Offer> the ones worth most first; none where nothing has to change */
    public static function out(Question $question, Standing $standing, Prospect $prospect): array
    {
        $ways = match ($question->turn) {
            Turn::GuestsLate => LateGuests::ways($question, $standing, $prospect),
            Turn::Behind => BehindTime::ways($standing, $prospect),
            Turn::Ahead => AheadOfTime::ways($standing, $prospect),
            Turn::SkinAhead => SkinAhead::ways($question, $standing),
            Turn::Stalled => Stalled::ways($standing),
            Turn::FlareUp => FlareUp::ways($question, $standing),
            Turn::Rain => OutOfTheRain::ways($question, $standing),
            Turn::NoFuel => WithoutFuel::ways($question, $standing),
            Turn::OneMore => MoreGuests::ways($question, $standing),
            Turn::Shared => OneCooker::ways($question, $standing),
            Turn::Compare => OtherHeat::ways($question, $standing),
        };
        $offers = [];
        foreach ($ways as $way) {
            if (count($offers) < self::MOST) {
                $offer = self::worked($way, $standing, $prospect);
                $offers = $offer === null || self::isIdle($question->turn, $offer, $standing) ? $offers : [...$offers, $offer];
            }
        }

        return $offers;
    }

    /** More to do and the table no sooner: no way out of being behind. */
    private static function isIdle(Turn $turn, Offer $offer, Standing $standing): bool
    {
        $dish = $standing->slowest();

        return $turn === Turn::Behind && $offer->way->id !== 'later' && ! ($dish !== null && $standing->isStuck($dish))
            && $offer->outcome->laterMinutes > $standing->lateMinutes() - self::GAINED_MINUTES;
    }

    /** As things stand, told in the same words. */
    public static function asItIs(Standing $standing): Outcome
    {
        return Outcome::of($standing, $standing);
    }

    /** Null where the roast's file would not have it, or a dish never gets there. */
    private static function worked(Way $way, Standing $standing, Prospect $prospect): ?Offer
    {
        try {
            $roast = RoastFile::read(RoastFile::write($way->roast->housed()));

            return new Offer(
                new Way($way->id, $way->title, $way->how, $way->price, $roast, $way->begun),
                Outcome::of($prospect->standing($roast, $way->begun), $standing),
            );
        } catch (InvalidInput) {
            return null;
        }
    }
}
