<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Device;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A thermometer that nobody has put anywhere yet.
 *
 * @extends Factory<Device>
 */
final class DeviceFactory extends Factory
{
    protected $model = Device::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return ['user_id' => UserFactory::new(), 'name' => 'Boathouse thermometer'];
    }
}
