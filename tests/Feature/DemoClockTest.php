<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\People\Role;
use Tests\TestCase;

class DemoClockTest extends TestCase
{
    private function demonstration(): void
    {
        config(['anthesis.demonstration' => true, 'anthesis.today' => null]);
        $this->actingAs($this->person(Role::Volunteer));
    }

    public function test_the_demonstration_stands_on_a_day_of_spring_until_somebody_moves_it(): void
    {
        $this->demonstration();
        $this->getJson('/api/session')
            ->assertJsonPath('data.today', '2026-04-18')
            ->assertJsonPath('data.demonstration.first', '2026-04-18');
        $this->putJson('/api/demo-clock', ['today' => '2026-06-30'])
            ->assertOk()
            ->assertJsonPath('data.today', '2026-06-30');
        $this->putJson('/api/demo-clock', ['today' => '2026-05-02'])->assertOk();
        $this->getJson('/api/session')->assertJsonPath('data.today', '2026-05-02');
    }

    public function test_it_does_not_go_where_its_weather_is_not_told(): void
    {
        $this->demonstration();
        foreach (['2026-04-17', '2028-04-18', '2026-02-30', 'tomorrow', ''] as $day) {
            $this->putJson('/api/demo-clock', ['today' => $day])
                ->assertUnprocessable()
                ->assertJsonValidationErrors('today');
        }
        $this->getJson('/api/session')->assertJsonPath('data.today', '2026-04-18');
    }

    public function test_elsewhere_it_is_the_real_day_and_nobody_moves_it(): void
    {
        config(['anthesis.today' => null]);
        $this->putJson('/api/demo-clock', ['today' => '2026-06-30'])->assertUnauthorized();
        $this->actingAs($this->person());
        $this->putJson('/api/demo-clock', ['today' => '2026-06-30'])->assertNotFound();
        $this->getJson('/api/session')->assertJsonPath('data.today', date('Y-m-d'))->assertJsonPath('data.demonstration', null);
    }
}
