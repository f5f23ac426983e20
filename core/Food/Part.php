<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Table;

/** A part of a whole animal, with its share of the mass and its thickness. Rows: data/parts.json. */
final readonly class Part
{
    /**
     * @param  float  $massShare  0 to 1 of the dressed animal
     * @param  float  $halfShare  half-thickness over that of the whole's thickest part
     * @param  float  $from  where it lies along the animal from the tail, 0 to 1
     */
    private function __construct(
        public string $id,
        public string $name,
        public float $massShare,
        public float $halfShare,
        public float $from,
        public float $to,
    ) {
    }

    /** @return list<self> empty for a cut that is one piece */
    public static function of(Cut $cut): array
    {
        /** @var array<string, list<array{id: string, name: string, mass: float, half: float, from: float, to: float}>> $animals */
        $animals = Table::named('parts')['animals'];

        return array_map(self::row(...), $animals[$cut->id] ?? []);
    }

    /** @return non-empty-list<self> of a fire's length under a cut: its parts, or the two ends and the middle of one that is all alike */
    public static function along(Cut $cut): array
    {
        /** @var non-empty-list<array{id: string, name: string, mass: float, half: float, from: float, to: float}> $piece */
        $piece = Table::named('parts')['piece'];

        return self::of($cut) ?: array_map(self::row(...), $piece);
    }

    /** @param  array{id: string, name: string, mass: float, half: float, from: float, to: float}  $row */
    private static function row(array $row): self
    {
        return new self($row['id'], $row['name'], $row['mass'], $row['half'], $row['from'], $row['to']);
    }

    /**
     * Its middle, from the middle of the whole.
     *
     * @param  float  $lengthM  of the whole
     */
    public function middleM(float $lengthM): float
    {
        return (0.5 * ($this->from + $this->to) - 0.5) * $lengthM;
    }
}
