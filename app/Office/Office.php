<?php

declare(strict_types=1);

namespace App\Office;

use Anthesis\Messages\DateStyle;
use Anthesis\Messages\UnitSystem;
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
 * @property bool $second_signature
 * @property UnitSystem $units at the desk, of people who chose none
 * @property DateStyle $dates the same
 */
class Office extends Model
{
    use Versioned;

    public const FIELDS = ['name', 'mail', 'phone', 'address', 'hours', 'licence', 'second_signature', 'units', 'dates'];

    /** Until an office chooses. */
    public const UNITS = UnitSystem::Us;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'second_signature' => 'boolean',
        'version' => 'integer',
        'units' => UnitSystem::class,
        'dates' => DateStyle::class,
    ];

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
