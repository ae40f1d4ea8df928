<?php

declare(strict_types=1);

namespace App\Office;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use Anthesis\Record\Day;
use App\People\Change;
use App\People\Versioned;
use Illuminate\Database\Eloquent\Model;

/**
 * The office behind the calendars: whom gardeners ask, under which licence its data may be used, and whether an edition needs the
 * signature of a second educator. There is one.
 *
 * @property int $id
 * @property string $name
 * @property string|null $mail
 * @property string|null $phone
 * @property string|null $address
 * @property string|null $hours
 * @property string|null $licence of the open data; null: none was chosen
 * @property string|null $water_rules of the district, in its own words; null: none to tell of
 * @property string|null $water_rules_from first day on which they hold, ISO 8601; null: they hold already
 * @property string|null $water_rules_until the last; null: until somebody says otherwise
 * @property bool $second_signature
 * @property bool $second_factor whether everybody needs a second step to log in
 * @property UnitSystem $units at the desk, of people who chose none
 * @property DateStyle $dates the same
 */
class Office extends Model
{
    use Versioned;

    public const FIELDS = [
        'name',
        'mail',
        'phone',
        'address',
        'hours',
        'licence',
        ...self::WATER_RULES,
        'second_signature',
        'second_factor',
        'units',
        'dates',
    ];

    public const WATER_RULES = ['water_rules', 'water_rules_from', 'water_rules_until'];

    /** Until an office chooses. */
    public const UNITS = UnitSystem::Us;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'second_signature' => 'boolean',
        'second_factor' => 'boolean',
        'version' => 'integer',
        'units' => UnitSystem::class,
        'dates' => DateStyle::class,
    ];

    /** @return string|null the watering rules that hold on a day; null: none */
    public static function waterRulesOn(Day $day): ?string
    {
        $office = self::theOne();
        $holds =
            $office !== null &&
            ($office->water_rules_from ?? '') <= $day->iso() &&
            ($office->water_rules_until === null || $office->water_rules_until >= $day->iso());

        return $holds ? $office->water_rules : null;
    }

    public static function theOne(): ?self
    {
        return self::query()->first();
    }

    /** @return array{by: string|null, at: string}|null who last changed whether a second signature is needed; null: nobody ever did */
    public function signatureChanged(): ?array
    {
        $edit = Change::query()
            ->with('user')
            ->where('subject', $this->getTable())
            ->where('subject_id', $this->id)
            ->whereNotNull('fields->second_signature')
            ->latest('id')
            ->first();

        return $edit === null ? null : ['by' => $edit->user?->name, 'at' => $edit->created_at->toIso8601String()];
    }

    /** @return array<string, mixed> */
    public function editedFields(): array
    {
        return $this->only(self::FIELDS);
    }

    /** @return list<string> what a person wrote in it, for translators */
    public function texts(): array
    {
        return $this->hours === null ? [] : [$this->hours];
    }
}
