<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Diatherm\Roast\RoastFile;
use Diatherm\Ways\Offer;
use Diatherm\Ways\Outcome;
use Diatherm\Ways\PullTold;

/** Ways out, each with what comes of it. */
final class WaysResource
{
    /**
     * @param  list<Offer>  $offers
     * @return array<string, mixed>
     */
    public static function of(Outcome $asItIs, array $offers): array
    {
        return [
            'as_it_is' => self::outcome($asItIs),
            'ways' => array_map(fn (Offer $offer): array => [
                'id' => $offer->way->id,
                'title' => $offer->way->title,
                'how' => $offer->way->how,
                'price' => $offer->way->price,
                'file' => RoastFile::write($offer->way->roast),
                'outcome' => self::outcome($offer->outcome),
            ], $offers),
        ];
    }

    /** @return array<string, mixed> */
    private static function outcome(Outcome $outcome): array
    {
        return [
            'table_at' => PlanResource::time($outcome->tableAt),
            'later_minutes' => round($outcome->laterMinutes),
            'table' => $outcome->table,
            'slow' => $outcome->slow,
            'dishes' => array_map(fn (PullTold $one): array => [
                'words' => $one->words,
                'off_at' => ['low' => PlanResource::time($one->low), 'likely' => PlanResource::time($one->likely), 'high' => PlanResource::time($one->high)],
            ], $outcome->dishes),
            'fuel' => $outcome->fuel,
            'hands' => $outcome->hands,
            'cautions' => $outcome->cautions,
        ];
    }
}
