<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Mark;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** Something beside the roast that goes by the clock: it has a time and a patience, and no core temperature. Rows: data/sides.json. */
final readonly class Side
{
    /**
     * @param  string  $called  what people look for it by
     * @param  float  $leastMinutes  from when it goes on until it is done, at the quick end; $mostMinutes at the slow end
     * @param  float  $boilMinutes  until its water boils, before that; 0 where there is none
     * @param  float  $afterMinutes  off the heat, that belong to it
     * @param  float  $waitsMinutes  for which it waits well once it is done
     * @param  float|null  $stirMinutes  every so many
     * @param  float  $readyMinutes  of hands before it goes on; $doneMinutes when it is done
     * @param  string|null  $needs  pot, foil, cloth or flask
     * @param  bool  $shares  whether it can lie in one pot or pan with a dish
     * @param  float|null  $leastC  of a cooker that its minutes are for, with $mostC; null where it boils, or wants none
     * @param  float  $litres  of a pot that it fills a head; 0 where it fills none
     * @param  bool  $isMeal  whether someone who eats no meat makes a meal of it
     * @param  bool  $isCold  made, kept and served cold: it never goes on
     * @param  Mix|null  $mix  what goes into it; null where that comes from the roast, or nobody said
     * @param  string|null  $aisle  where it is bought: greengrocer, grocer, baker or butcher; null where it comes from the roast
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $called,
        public string $how,
        public float $leastMinutes,
        public float $mostMinutes,
        public float $boilMinutes,
        public float $afterMinutes,
        public float $waitsMinutes,
        public ?float $stirMinutes,
        public float $readyMinutes,
        public float $doneMinutes,
        public ?string $needs,
        public ?string $aisle,
        public bool $shares,
        public ?float $leastC,
        public ?float $mostC,
        public float $litres,
        public ?Mix $mix,
        public bool $isCold,
        public bool $isMeal,
        public Source $source,
    ) {
    }

    /** @return array<string, self> by id */
    public static function all(): array
    {
        static $all = [];
        if ($all === []) {
            /**
             * @var list<array{id: string, name: string, called: string, minutes: array{int, int}, boil?: array{int, int},
             *     after?: int, waits: int, stir?: int, hands: array{int, int}, needs?: string, aisle?: string, shares?: bool,
             *     heat?: array{int, int}, litres?: float, mix?: string, cold?: bool, meal?: bool, how: string, mark: string,
             *     citation?: string}> $rows
             */
            $rows = Table::named('sides')['sides'];
            foreach ($rows as $row) {
                $all[$row['id']] = new self(
                    $row['id'],
                    $row['name'],
                    $row['called'],
                    $row['how'],
                    (float) $row['minutes'][0],
                    (float) $row['minutes'][1],
                    (float) ($row['boil'][1] ?? 0.0),
                    (float) ($row['after'] ?? 0.0),
                    (float) $row['waits'],
                    isset($row['stir']) ? (float) $row['stir'] : null,
                    (float) $row['hands'][0],
                    (float) $row['hands'][1],
                    $row['needs'] ?? null,
                    $row['aisle'] ?? null,
                    $row['shares'] ?? false,
                    isset($row['heat']) ? (float) $row['heat'][0] : null,
                    isset($row['heat']) ? (float) $row['heat'][1] : null,
                    $row['litres'] ?? 0.0,
                    isset($row['mix']) ? Mix::ours()[$row['mix']] : null,
                    $row['cold'] ?? false,
                    $row['meal'] ?? false,
                    Source::of(Mark::from($row['mark']), $row['citation'] ?? ''),
                );
            }
        }

        /** @var array<string, self> $all */
        return $all;
    }

    /** Where things are bought. */
    public const AISLES = ['greengrocer', 'grocer', 'baker', 'butcher', 'fishmonger'];

    /** One that the cook knows and no table has. */
    public static function own(
        string $id,
        string $name,
        string $how,
        float $minutes,
        float $waitsMinutes,
        ?float $stirMinutes,
        float $readyMinutes,
        float $doneMinutes,
        ?string $aisle,
    ): self {
        return new self(
            $id, $name, '', $how, $minutes, $minutes, 0.0, 0.0, $waitsMinutes, $stirMinutes, $readyMinutes, $doneMinutes, null, $aisle,
            true, null, null, 0.0, null, false, true, Source::of(Mark::Common),
        );
    }

    /** @throws OutOfRange for an id that is not in the table */
    public static function named(string $id): self
    {
        return self::all()[$id] ?? throw OutOfRange::unknown('side', $id);
    }

    /** Whether it is made ahead and kept cold, where nobody asks it to come hot from the fire. */
    public function isMadeAhead(): bool
    {
        return $this->waitsMinutes >= self::AHEAD_MINUTES && ! $this->isCold;
    }

    private const AHEAD_MINUTES = 720.0;
}
