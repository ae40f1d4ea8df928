<?php

declare(strict_types=1);

namespace Database\Factories;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use App\People\Role;
use App\People\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * People for tests: an educator who reads metric units, unless something else is asked for.
 *
 * @extends Factory<User>
 */
final class UserFactory extends Factory
{
    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'name' => 'Educator',
            'email' => uniqid().'@kestrel.example',
            'role' => Role::Educator,
            'password' => 'a good long password',
            'units' => UnitSystem::Metric,
            'dates' => DateStyle::DayFirst,
        ];
    }

    public function as(Role $role): self
    {
        return $this->state(['name' => ucfirst($role->value), 'role' => $role]);
    }
}
