<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Table;
use Diatherm\Roast\Roast;

/** What one line of a run sheet asks of a cook's hands. Figures: data/hands.json. */
final readonly class Work
{
    /** A step that is over so soon is stood by from its first minute to its last: a sear. Common practice. */
    private const STOOD_BY_MINUTES = 10.0;

    /** Of the time until it comes round again, by which a chore may come sooner or later. Common practice. */
    private const OF_ITS_ROUND = 0.25;

    /**
     * @param  float  $minutes  0 for what does itself
     * @param  float  $earlierMinutes  by which it may be done sooner; $laterMinutes later
     * @param  string|null  $lid  kind of the cooker that is opened for it
     */
    private function __construct(
        public float $minutes,
        public Station $station,
        public float $earlierMinutes,
        public float $laterMinutes,
        public ?string $lid,
    ) {
    }

    public static function of(Entry $entry, Roast $roast): self
    {
        $row = self::row($entry, $roast);
        if ($row === null) {
            return new self(0.0, Station::Table, 0.0, 0.0, null);
        }
        $round = $entry->act === Act::Chore && $entry->until !== null
            ? self::OF_ITS_ROUND * ($entry->until->getTimestamp() - $entry->at->getTimestamp()) / 60.0
            : INF;
        $later = $entry->act === Act::Prepare && $entry->latest !== null
            ? max(0.0, ($entry->latest->getTimestamp() - $entry->at->getTimestamp()) / 60.0)
            : INF;

        if ($entry->id->what === 'chore' && self::isStoodBy($roast, (int) $entry->dish, (int) $entry->id->parts[0])) {
            // The hands are there already.
            return new self(0.0, Station::Fire, 0.0, 0.0, self::cooker($entry, $roast));
        }

        return new self(
            $entry->minutes ?? self::stoodBy($entry, $roast) ?? (float) $row['minutes'],
            Station::from($row['place']),
            min((float) $row['earlier'], $round),
            min((float) $row['later'], $round, $later),
            ($row['lid'] ?? false) ? self::cooker($entry, $roast) : null,
        );
    }

    /** What it takes to lift a dish off. */
    public static function pullMinutes(): float
    {
        /** @var array<string, array{minutes: int}> $rows */
        $rows = Table::named('hands')['tasks'];

        return (float) $rows['pull']['minutes'];
    }

    public static function walkMinutes(): float
    {
        /** @var int $minutes */
        $minutes = Table::named('hands')['walk_minutes'];

        return (float) $minutes;
    }

    /** @return array{minutes: int, place: string, earlier: int, later: int, lid?: bool}|null null for what asks nothing of hands */
    private static function row(Entry $entry, Roast $roast): ?array
    {
        /** @var array<string, array{minutes: int, place: string, earlier: int, later: int, lid?: bool}> $rows */
        $rows = Table::named('hands')['tasks'];

        $parts = $entry->id->parts;

        return $rows[match ($entry->id->what) {
            'fire', 'side' => $entry->id->what.'.'.($parts[1] ?? ''),
            'chore' => 'chore.'.($roast->dishes[(int) $entry->dish]->stages[(int) $parts[0]]->chores[(int) $parts[1]]->kind ?? 'own'),
            'after' => 'after.'.($parts[0] ?? ''),
            default => $entry->id->what,
        }] ?? null;
    }

    private static function stoodBy(Entry $entry, Roast $roast): ?float
    {
        $number = match ($entry->id->what) {
            'on' => 0,
            'stage' => (int) $entry->id->parts[0],
            default => null,
        };

        return $number !== null && self::isStoodBy($roast, (int) $entry->dish, $number)
            ? (float) $roast->dishes[(int) $entry->dish]->stages[$number]->value
            : null;
    }

    private static function isStoodBy(Roast $roast, int $dish, int $number): bool
    {
        $stage = $roast->dishes[$dish]->stages[$number] ?? null;

        return $stage !== null && $stage->end->isTimed() && (float) $stage->value <= self::STOOD_BY_MINUTES && ! $stage->cooker->isRest();
    }

    /** The cooker that it is done at; null where it is none of a cooker's. */
    private static function cooker(Entry $entry, Roast $roast): ?string
    {
        if ($entry->id->what === 'fire') {
            // A camp oven's coals lie on its lid: nobody lifts it to feed them.
            return $entry->id->parts[0] === 'camp-oven' ? null : (string) $entry->id->parts[0];
        }
        $stages = $entry->dish === null ? [] : $roast->dishes[$entry->dish]->stages;
        $number = match ($entry->id->what) {
            'chore', 'stage', 'read' => (int) $entry->id->parts[0],
            'pull' => count($stages) - 1,
            default => 0,
        };

        return isset($stages[$number]) ? $stages[$number]->cooker->id : null;
    }
}
