<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Roast;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A rack of pork over four hours, as it is stored. What is stored is not worked out: a test that wants it checked posts it.
 *
 * @extends Factory<Roast>
 */
final class RoastFactory extends Factory
{
    protected $model = Roast::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        $serveAt = CarbonImmutable::now()->addHours(4);

        return [
            'user_id' => UserFactory::new(),
            'name' => '',
            'serve_at' => $serveAt,
            'time_zone' => '+00:00',
            'inputs' => [
                'format' => 'diatherm.roast', 'version' => 1, 'name' => '', 'serve_at' => $serveAt->toAtomString(), 'people' => 9, 'air_c' => 14,
                'dishes' => [[
                    'cut' => 'pork-rack', 'mass_kg' => 3.0, 'start_c' => 6, 'taste' => 'juicy',
                    'stages' => [['cooker' => 'kettle', 'cooker_c' => 150, 'pull' => true]],
                ]],
            ],
        ];
    }

    /** Of another cut, known or not. */
    public function of(string $cut): self
    {
        return $this->state(fn (array $roast): array => ['inputs' => array_replace_recursive($roast['inputs'], ['dishes' => [['cut' => $cut]]])]);
    }
}
