<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** The plain advice for a class of food: a core temperature and, for some, a rest. Rows: data/safe-minimums.json. */
final readonly class SafeMinimum
{
    private function __construct(
        public string $name,
        public ?float $coreC,
        public float $holdMinutes,
        public ?LethalityTable $lethality,
        public Source $source,
    ) {
    }

    /** The same, without time at temperature where its table was not made for that cut or kind of meat. */
    public function countedFor(string $cut, string $kind): self
    {
        return $this->lethality === null || $this->lethality->isMadeFor($cut, $kind)
            ? $this
            : new self($this->name, $this->coreC, $this->holdMinutes, null, $this->source);
    }

    /** @return array<string, self> by class of food */
    public static function all(): array
    {
        /** @var array<string, mixed> $rows */
        $rows = Table::named('safe-minimums')['classes'];

        return array_combine(array_keys($rows), array_map(self::of(...), array_keys($rows)));
    }

    /** @throws OutOfRange for a class that is not in the table */
    public static function of(string $class): self
    {
        /**
         * @var array<string, array{name: string, core_c: int|null, hold_min: int, lethality: string|null, mark: string,
         *     citation?: string}> $rows
         */
        $rows = Table::named('safe-minimums')['classes'];
        $row = $rows[$class] ?? throw OutOfRange::unknown('class_of_food', $class);

        return new self(
            $row['name'],
            $row['core_c'] === null ? null : (float) $row['core_c'],
            (float) $row['hold_min'],
            $row['lethality'] === null ? null : LethalityTable::named($row['lethality']),
            Source::of(Mark::from($row['mark']), $row['citation'] ?? ''),
        );
    }
}
