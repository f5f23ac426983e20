<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Nature;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;
use Diatherm\Measure\Unit;
use Diatherm\Roast\Dish;

/** What the old rule by weight says for a dish, and where it fails. Rows: data/weight-rules.json. */
final readonly class WeightRule
{
    private function __construct(
        public float $leastMinutes,
        public float $mostMinutes,
        public ?float $firstLookMinutes,
        public string $id,
        /** @var array<string, Quantity> what its sentences name */
        private array $named,
        public Source $source,
    ) {
    }

    /** The rule that was made for this cut on this cooker, or null. Staged dishes have none. */
    public static function for(Dish $dish): ?self
    {
        if (count($dish->stages) > 1 || $dish->form->id !== 'whole') {
            return null;
        }
        $table = Table::named('weight-rules');
        /** @var list<array{cookers: list<string>, cuts?: list<string>, kinds?: list<string>,
         *   least_c?: int, most_c?: int, tastes_most_c?: int, per_lb?: array{int, int}, fixed?: array{int, int},
         *   table?: list<array{int, int, int}>, first_look_per_lb?: int,
         *   id: string, named?: array<string, array{int|float, string}>, mark: string, citation?: string}> $rules
         */
        $rules = $table['rules'];
        $stage = $dish->stages[0];
        $pounds = $dish->massKg / Nature::POUND_KG;
        foreach ($rules as $rule) {
            $fits = in_array($stage->cooker->id, $rule['cookers'], true)
                && (! isset($rule['cuts']) || in_array($dish->cut->id, $rule['cuts'], true))
                && (! isset($rule['kinds']) || in_array($dish->cut->kind, $rule['kinds'], true))
                && $stage->cookerC >= ($rule['least_c'] ?? -INF)
                && $stage->cookerC <= ($rule['most_c'] ?? INF)
                && $dish->targetC <= ($rule['tastes_most_c'] ?? INF);
            if (! $fits) {
                continue;
            }
            [$least, $most] = match (true) {
                isset($rule['fixed']) => $rule['fixed'],
                isset($rule['per_lb']) => [$rule['per_lb'][0] * $pounds, $rule['per_lb'][1] * $pounds],
                default => self::row($rule['table'] ?? [], $pounds),
            };

            return new self(
                (float) $least,
                (float) $most,
                isset($rule['first_look_per_lb']) ? $rule['first_look_per_lb'] * $pounds : null,
                $rule['id'],
                array_map(fn (array $one): Quantity => Quantity::of((float) $one[0], Unit::from($one[1]), null), $rule['named'] ?? []),
                Source::of(Mark::from($rule['mark']), $rule['citation'] ?? ''),
            );
        }

        return null;
    }

    /** The rule itself. */
    public function words(): Message
    {
        return Message::of("weight_rule.{$this->id}.says", ...$this->named);
    }

    /** Where it leads astray. */
    public function fails(): Message
    {
        return Message::of("weight_rule.{$this->id}.fails", ...$this->named);
    }

    public function minutes(): float
    {
        return 0.5 * ($this->leastMinutes + $this->mostMinutes);
    }

    /**
     * @param  list<array{int, int, int}>  $rows
     * @return array{int, int}
     */
    private static function row(array $rows, float $pounds): array
    {
        foreach ($rows as [$upTo, $least, $most]) {
            if ($pounds <= $upTo) {
                return [$least, $most];
            }
        }
        $last = $rows[count($rows) - 1] ?? [0, 0, 0];

        return [$last[1], $last[2]];
    }
}
