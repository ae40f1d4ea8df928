<?php

declare(strict_types=1);

namespace Database\Factories;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use App\Office\Office;
use App\People\Role;
use App\People\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * People for tests: an educator who reads metric units, unless the test says otherwise.
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
            'password' => 'a good long password',
            'units' => UnitSystem::Metric,
            'dates' => DateStyle::DayFirst,
        ];
    }

    public function as(Role $role): self
    {
        return $this->state(['name' => ucfirst($role->value)])->afterCreating(static function (User $user) use ($role): void {
            $user->memberships()->update(['role' => $role]);
            $user->unsetRelation('membership');
        });
    }

    /** Works in another office than the first. */
    public function in(Office $office): self
    {
        return $this->afterCreating(static fn (User $user) => $user->memberships()->update(['office_id' => $office->id]));
    }

    public function configure(): self
    {
        return $this->afterCreating(static function (User $user): void {
            $user->memberships()->create(['office_id' => Office::query()->orderBy('id')->firstOrFail()->id, 'role' => Role::Educator]);
        });
    }
}
