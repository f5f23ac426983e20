<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Fields;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/** What a cooker's controls are set to. */
final readonly class Settings
{
    /** @param  array<string, float>  $values by id of the control */
    private function __construct(public array $values)
    {
    }

    /**
     * @param  array<string, float>  $values  by id of the control, each within its range
     */
    public static function of(array $values): self
    {
        return new self($values);
    }

    /**
     * @param  list<Control>  $controls
     * @param  bool  $all  whether each has to be named; else one that is not stands at its least
     */
    public static function read(Fields $fields, array $controls, bool $all = false): self
    {
        $fields->only(...array_map(fn (Control $control): string => $control->id, $controls));
        $values = [];
        foreach ($controls as $control) {
            $values[$control->id] = $fields->number(
                $control->id,
                $control->name(),
                $control->least,
                $control->most,
                Unit::tryFrom($control->unit) ?? Unit::None,
                $all ? null : $control->least,
            );
        }

        return new self($values);
    }

    /** @throws OutOfRange */
    public function get(string $id): float
    {
        return $this->values[$id] ?? throw OutOfRange::unknown('control', $id);
    }

    public function withControl(string $id, float $value): self
    {
        return new self(array_replace($this->values, [$id => $value]));
    }

    /**
     * As a hand can set them.
     *
     * @param  list<Control>  $controls
     */
    public function rounded(array $controls): self
    {
        $values = $this->values;
        foreach ($controls as $control) {
            $values[$control->id] = $control->clamp(round(($values[$control->id] ?? $control->least) / $control->step) * $control->step);
        }

        return new self($values);
    }
}
