<?php

declare(strict_types=1);

namespace App\Work;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Cache;

/**
 * How much of this machine's processor one kitchen may use: a store of seconds that fills up again as time passes. Kitchens of the demo
 * share one for each address that they are asked from, for anybody can open another.
 */
final readonly class Allowance
{
    /**
     * @param  float  $mostS  that can be spent at once
     * @param  float  $perS  that comes back in a second
     */
    private function __construct(
        private string $key,
        private float $mostS,
        private float $perS,
    ) {
    }

    public static function of(User $cook, string $address): self
    {
        $isDemo = $cook->demo_until !== null;
        /** @var array{most_s: float, per_s: float} $of */
        $of = config($isDemo ? 'app.work.demo' : 'app.work.cook');

        return new self('work.spent.'.($isDemo ? "demo.$address" : $cook->id), $of['most_s'], $of['per_s']);
    }

    /** @throws Busy while all of it is spent */
    public function insist(): void
    {
        $over = $this->spentS() - $this->mostS;
        if ($over > 0.0) {
            throw Busy::spent($over / $this->perS);
        }
    }

    public function spend(float $seconds): void
    {
        $now = CarbonImmutable::now()->getPreciseTimestamp(3) / 1000.0;
        Cache::store('machine')->put(
            $this->key, ['spent_s' => $this->spentS() + $seconds, 'at' => $now], (int) ceil(2.0 * $this->mostS / $this->perS),
        );
    }

    private function spentS(): float
    {
        $kept = Cache::store('machine')->get($this->key);

        return is_array($kept)
            ? max(0.0, $kept['spent_s'] - $this->perS * (CarbonImmutable::now()->getPreciseTimestamp(3) / 1000.0 - $kept['at']))
            : 0.0;
    }
}
