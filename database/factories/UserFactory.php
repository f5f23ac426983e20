<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    public const PASSWORD = 'ember and straw';

    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Cook',
            'email' => 'cook'.bin2hex(random_bytes(8)).'@weir.example',
            'password' => self::PASSWORD,
        ];
    }

    public function inPoundsAndFahrenheit(): self
    {
        return $this->state(['temperature_unit' => 'f', 'mass_unit' => 'lb']);
    }
}
