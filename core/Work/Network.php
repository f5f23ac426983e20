<?php

declare(strict_types=1);

namespace Diatherm\Work;

/**
 * Pieces of work and what they wait for: a project network with minimal and maximal lags. Source: K. Neumann, C. Schwindt,
 * J. Zimmermann, Project Scheduling with Time Windows and Scarce Resources, Springer 2003, chapter 1.
 */
final readonly class Network
{
    /**
     * @param  array<string, Piece>  $pieces  by id, each after all that it waits for
     * @param  array<string, list<Arrow>>  $from  arrows by the id of their first piece
     */
    private function __construct(
        public array $pieces,
        private array $from,
    ) {
    }

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Arrow>  $arrows  between these pieces
     *
     * @throws CircularWork when pieces wait for each other
     */
    public static function of(array $pieces, array $arrows): self
    {
        $byId = array_combine(array_map(fn (Piece $piece): string => $piece->id, $pieces), $pieces);
        $from = $to = [];
        foreach ($arrows as $arrow) {
            $from[$arrow->before][] = $arrow;
            $to[$arrow->after][$arrow->before] = true;
        }
        $ordered = [];
        $left = $byId;
        while ($left !== []) {
            $free = array_filter($left, fn (Piece $piece): bool => array_intersect_key($to[$piece->id] ?? [], $left) === []);
            if ($free === []) {
                throw CircularWork::among(self::circle(array_keys($left), $from));
            }
            $ordered += $free;
            $left = array_diff_key($left, $free);
        }

        return new self($ordered, $from);
    }

    /**
     * @param  list<string>  $ids  in a circle, or behind one
     * @param  array<string, list<Arrow>>  $from
     * @return list<string> those for which another one of them waits
     */
    private static function circle(array $ids, array $from): array
    {
        do {
            $count = count($ids);
            $isWaitedFor = fn (string $id): bool => array_intersect(array_column($from[$id] ?? [], 'after'), $ids) !== [];
            $ids = array_values(array_filter($ids, $isWaitedFor));
        } while (count($ids) < $count);

        return $ids;
    }

    /** @return list<Arrow> to what waits for a piece */
    public function arrowsFrom(string $id): array
    {
        return $this->from[$id] ?? [];
    }

    /**
     * The latest start of each piece, whatever hands there are: the longest path back from what has its hour.
     *
     * @param  non-empty-array<string, float>  $fixed  starts, minutes, by id
     * @param  float  $share  of the way from the least that each takes to the best
     * @return array<string, float> by id; those that nothing with an hour waits for start at the last of these hours
     */
    public function latestStarts(array $fixed, float $share): array
    {
        $starts = [];
        foreach (array_reverse($this->pieces, true) as $id => $piece) {
            $by = max($fixed) + $piece->takesMinutes($share);
            foreach ($this->arrowsFrom($id) as $arrow) {
                $by = min($by, $starts[$arrow->after] - $arrow->leastMinutes);
            }
            $starts[$id] = $fixed[$id] ?? $by - $piece->takesMinutes($share);
        }

        return $starts;
    }
}
