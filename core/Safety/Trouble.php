<?php

declare(strict_types=1);

namespace Diatherm\Safety;

use Diatherm\Measure\Mark;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Source;
use Diatherm\Measure\Table;

/** Something that goes wrong at a fire, and what to do at once: written for someone in a hurry. */
final readonly class Trouble
{
    /**
     * @param  string  $called  what people look for it by
     * @param  Message  $do  in the order in which it is done
     */
    private function __construct(
        public string $id,
        public string $called,
        public Message $name,
        public Message $do,
        public Source $source,
    ) {
    }

    private static function row(string $id, Message $name, Message $do, Source $source): self
    {
        /** @var array<string, string> $called */
        $called = Table::named('troubles')['called'];

        return new self($id, $called[$id], $name, $do, $source);
    }

    /** @return list<self> what weighs most first */
    public static function all(): array
    {
        $common = Source::of(Mark::Common);
        $poultry = SafeMinimum::all()['poultry'];
        assert($poultry->coreC !== null);
        $hot = Quantity::celsius(Clocks::HOT_C);

        return [
            self::row('not_done', Message::of('trouble.not_done'), Message::of(
                'trouble.not_done.do', poultry: Quantity::celsius($poultry->coreC),
            ), $poultry->source),
            self::row('fire_out', Message::of('trouble.fire_out'), Message::of(
                'trouble.fire_out.do', cold: Quantity::celsius(Clocks::COLD_C), hot: $hot, allowed: Quantity::duration(Clocks::MINUTES),
            ), Clocks::source()),
            self::row('flare_up', Message::of('trouble.flare_up'), Message::of('trouble.flare_up.do'), $common),
            self::row('standstill', Message::of('trouble.standstill'), Message::of(
                'trouble.standstill.do', low: Quantity::celsius(65.0), high: Quantity::celsius(75.0), more: Quantity::kelvin(15.0),
            ), $common),
            self::row('too_low', Message::of('trouble.too_low'), Message::of('trouble.too_low.do'), $common),
            self::row('too_hot', Message::of('trouble.too_hot'), Message::of('trouble.too_hot.do'), $common),
            self::row('dark', Message::of('trouble.dark'), Message::of('trouble.dark.do'), $common),
            self::row('soft_skin', Message::of('trouble.soft_skin'), Message::of(
                'trouble.soft_skin.do', heat: Quantity::celsius(200.0),
            ), $common),
            self::row('smoke', Message::of('trouble.smoke'), Message::of('trouble.smoke.do'), $common),
            self::row('tough', Message::of('trouble.tough'), Message::of(
                'trouble.tough.do', tender: Quantity::celsius(85.0),
            ), $common),
            self::row('dry', Message::of('trouble.dry'), Message::of('trouble.dry.do', sooner: Quantity::kelvin(3.0)), $common),
            self::row('nonsense', Message::of('trouble.nonsense'), Message::of(
                'trouble.nonsense.do', ice: Quantity::celsius(0.0), boils: Quantity::celsius(100.0),
            ), $common),
            self::row('stalled_motor', Message::of('trouble.stalled_motor'), Message::of(
                'trouble.stalled_motor.do',
            ), $common),
            self::row('dug_up', Message::of('trouble.dug_up'), Message::of(
                'trouble.dug_up.do', oven: Quantity::celsius(180.0),
            ), $common),
            self::row('weather', Message::of('trouble.weather'), Message::of('trouble.weather.do'), $common),
            self::row('no_power', Message::of('trouble.no_power'), Message::of('trouble.no_power.do', hot: $hot), $common),
        ];
    }
}
