<?php

declare(strict_types=1);

namespace App\Office;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
use Anthesis\Messages\Words;
use Anthesis\Record\Day;
use Anthesis\Window\ProofStandard;
use App\Operations\OfficeInUse;
use App\People\Change;
use App\People\Versioned;
use App\Zones\Zone;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;

/**
 * An office that publishes calendars, with its own zones, people, crop book, and sites: whom gardeners contact, the license of its data,
 * and whether an edition needs a second signature. There is one from the start, without a name until somebody gives it one;
 * `anthesis:add-office` adds others.
 *
 * @property int $id
 * @property string $slug its address on the public pages
 * @property string $name empty until it has one
 * @property MarkColor $mark its color on the public pages
 * @property ProofStandard $standard the confidence level of a new zone
 * @property list<string>|null $languages besides the source language, those its calendars are read in; null: all there are
 * @property string|null $mail
 * @property string|null $phone
 * @property string|null $address
 * @property string|null $hours
 * @property string|null $licence of the open data; null: none chosen
 * @property string|null $water_rules of the district, in its own words; null: none
 * @property string|null $water_rules_from first day on which they apply, ISO 8601; null: they already do
 * @property string|null $water_rules_until the last; null: until further notice
 * @property bool $second_signature
 * @property bool $second_factor whether everybody needs a second step to log in
 * @property UnitSystem $units at the desk, for people who have not chosen their own
 * @property DateStyle $dates the same
 * @property-read Collection<int, Zone> $zones
 */
class Office extends Model
{
    use Versioned;

    public const FIELDS = [
        'name',
        'mark',
        'standard',
        'languages',
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

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'second_signature' => 'boolean',
        'second_factor' => 'boolean',
        'version' => 'integer',
        'mark' => MarkColor::class,
        'standard' => ProofStandard::class,
        'languages' => 'array',
        'units' => UnitSystem::class,
        'dates' => DateStyle::class,
    ];

    /** @return string|null the watering rules that apply on a day; null: none */
    public function waterRulesOn(Day $day): ?string
    {
        $holds =
            ($this->water_rules_from ?? '') <= $day->iso() &&
            ($this->water_rules_until === null || $this->water_rules_until >= $day->iso());

        return $holds ? $this->water_rules : null;
    }

    /** The one in use. */
    public static function inUse(): self
    {
        return self::query()->findOrFail(OfficeInUse::one());
    }

    /** @return self|null null: there are several */
    public static function theOnly(): ?self
    {
        $only = OfficeInUse::only();

        return $only === null ? null : self::query()->find($only);
    }

    /** @return string an address that no other office has */
    public static function freeSlug(string $name): string
    {
        $base = Str::limit(Str::slug($name), 70, '') ?: 'office';
        $slug = $base;
        for ($n = 2; self::query()->where('slug', $slug)->exists(); $n++) {
            $slug = "{$base}-{$n}";
        }

        return $slug;
    }

    /** @return list<string>|null the languages its calendars are read in; null: all there are */
    public function languagesRead(): ?array
    {
        return $this->languages === null ? null : [Words::SOURCE, ...$this->languages];
    }

    /** @return bool whether others share the installation, so its calendars name it */
    public function isOneOfSeveral(): bool
    {
        return self::query()->whereKeyNot($this->id)->exists();
    }

    /** @return HasMany<Zone, $this> */
    public function zones(): HasMany
    {
        $zones = $this->hasMany(Zone::class);
        $zones->orderBy('name');

        return $zones;
    }

    /** @return array{by: string|null, at: string}|null who last changed whether a second signature is needed; null: nobody did */
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

    /** @return array<string, string|null> what everybody may know about it */
    public function told(): array
    {
        return $this->only(['slug', 'name', 'mail', 'phone', 'address', 'hours', 'licence']) + ['mark' => $this->mark->value];
    }

    /** @return list<string> what people wrote in it, for translators */
    public function texts(): array
    {
        return $this->hours === null ? [] : [$this->hours];
    }
}
