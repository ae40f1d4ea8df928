<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Log\LoggedAct;
use Anthesis\Log\LossCause;
use Anthesis\Record\Day;
use App\Zones\Zone;
use BackedEnum;
use Illuminate\Support\Facades\Validator;
use InvalidArgumentException;

/** An entry as it comes to the log: its form is right, whatever it says. */
final readonly class LoggedEntry
{
    /** What is kept of an entry besides task, day, crop, and place. */
    private const TOLD = [
        'variety',
        'lot',
        'metres',
        'plants',
        'kilograms',
        'stems',
        'quality',
        'cause',
        'celsius',
        'depth',
        'hour',
        'mm',
        'under_cover',
        'cue',
        'plot',
        'text',
    ];

    /** Cells of these hold nothing but numbers. */
    private const NUMBERS = ['metres', 'kilograms', 'celsius', 'depth', 'hour', 'mm'];

    private const ALWAYS_NEEDED = ['key' => true, 'act' => true, 'on' => true];

    /** Fields that a task may need. */
    private const MAY_BE_NEEDED = [
        'key' => true,
        'act' => true,
        'on' => true,
        'garden' => true,
        'bed' => true,
        'cause' => true,
        'celsius' => true,
        'mm' => true,
        'cue' => true,
        'text' => true,
    ];

    private const COUNTS = ['plants', 'stems', 'quality', 'cue', 'plot'];

    /**
     * @param  string|null  $sowing  key of the planting's first entry
     * @param  string|null  $corrects  key of the entry it replaces
     * @param  array<string, mixed>  $told  those of TOLD that were entered
     */
    private function __construct(
        public string $key,
        public LoggedAct $act,
        public Day $on,
        public ?string $crop,
        public ?string $garden,
        public ?string $bed,
        public ?string $sowing,
        public ?string $corrects,
        public bool $takenBack,
        public ?string $photo,
        public array $told,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $said
     *
     * @throws EntryRefused naming the first field that is wrong
     */
    public static function of(array $said): self
    {
        $checked = self::validator($said);
        if ($checked->fails()) {
            $field = (string) $checked->errors()->keys()[0];
            throw new EntryRefused($field, $checked->errors()->first());
        }
        $asked = $checked->validated();
        try {
            $on = Day::fromIso((string) $asked['on']);
        } catch (InvalidArgumentException) {
            throw new EntryRefused('on', 'Enter the day as YYYY-MM-DD.');
        }
        $told = array_filter(
            array_intersect_key($asked, array_flip(self::TOLD)),
            static fn (mixed $v): bool => $v !== null && $v !== '' && $v !== false,
        );
        foreach ($told as $name => $value) {
            $told[$name] = match (true) {
                in_array($name, self::NUMBERS, true) => (float) $value,
                in_array($name, self::COUNTS, true) => (int) $value,
                $name === 'under_cover' => true,
                default => $value,
            };
        }

        return new self(
            (string) $asked['key'],
            LoggedAct::from((string) $asked['act']),
            $on,
            $asked['crop'] ?? null,
            $asked['garden'] ?? null,
            $asked['bed'] ?? null,
            $asked['sowing'] ?? null,
            $asked['corrects'] ?? null,
            (bool) ($asked['taken_back'] ?? false),
            $asked['photo'] ?? null,
            $told,
        );
    }

    /** @return array<string, mixed> everything that was entered: the same key always has the same content */
    public function content(Zone $zone): array
    {
        return ['zone' => $zone->id, 'act' => $this->act->value, 'on' => $this->on->iso()] +
            array_diff_key(get_object_vars($this), ['key' => 1, 'act' => 1, 'on' => 1]);
    }

    /**
     * A table has thousands of entries. Rules for what is missing and not needed are left out. Making a validator takes longer than using
     * it, so one is used again for entries with the same fields.
     *
     * @param  array<array-key, mixed>  $said
     */
    private static function validator(array $said): \Illuminate\Validation\Validator
    {
        static $validators = [];
        // What is deleted need not be entered again.
        $needed = ($said['taken_back'] ?? false) === true ? self::ALWAYS_NEEDED : self::MAY_BE_NEEDED;
        $asked = array_intersect_key(self::rules(), $said + $needed);
        $which = app()->getLocale().implode(' ', array_keys($asked));
        $validator = $validators[$which] ??= Validator::make([], $asked, self::messages());

        return $validator->setData($said);
    }

    /** @return array<string, list<string>> */
    private static function rules(): array
    {
        $key = ['string', 'min:8', 'max:64', 'regex:/^[A-Za-z0-9-]+$/'];

        return [
            'key' => ['required', ...$key],
            // By name: the rule for enums takes ten times as long.
            'act' => ['required', 'string', self::oneOf(LoggedAct::cases())],
            'on' => ['required', 'string', 'max:10'],
            'crop' => ['nullable', 'string', 'max:60'],
            'garden' => ['nullable', 'required_with:bed', 'string', 'max:80'],
            'bed' => ['nullable', 'required_if:act,'.implode(',', self::actsOfBeds()), 'string', 'max:80'],
            'sowing' => ['nullable', ...$key],
            'corrects' => ['nullable', ...$key],
            'taken_back' => ['nullable', 'boolean'],
            'photo' => ['nullable', 'string', 'regex:/^[0-9a-f]{64}$/'],
            'variety' => ['nullable', 'string', 'max:80'],
            'lot' => ['nullable', 'string', 'max:80'],
            'metres' => ['nullable', 'numeric', 'between:0.05,2000'],
            'plants' => ['nullable', 'integer', 'between:1,100000'],
            'kilograms' => ['nullable', 'numeric', 'between:0.001,2000'],
            'stems' => ['nullable', 'integer', 'between:1,50000'],
            'quality' => ['nullable', 'integer', 'between:1,3'],
            'cause' => ['nullable', 'required_if:act,lost', 'string', self::oneOf(LossCause::cases())],
            'celsius' => ['nullable', 'required_if:act,reading', 'numeric', 'between:-40,80'],
            'depth' => ['nullable', 'numeric', 'between:0,3'],
            'hour' => ['nullable', 'numeric', 'between:0,24'],
            // Water given, or caught by a gauge; a gauge that caught nothing says so.
            'mm' => ['nullable', 'required_if:act,gauge', 'numeric', 'between:0,500'],
            'under_cover' => ['nullable', 'boolean'],
            'cue' => ['nullable', 'required_if:act,seen', 'integer', 'between:1,1000000000'],
            'plot' => ['nullable', 'integer', 'between:1,1000000000'],
            'text' => ['nullable', 'required_if:act,note', 'string', 'max:2000'],
        ];
    }

    /** @return list<string> */
    private static function actsOfBeds(): array
    {
        return array_column(array_filter(LoggedAct::cases(), static fn (LoggedAct $act): bool => $act->isOfBed()), 'value');
    }

    /** @param  list<BackedEnum>  $cases */
    private static function oneOf(array $cases): string
    {
        return 'in:'.implode(',', array_column($cases, 'value'));
    }

    /** @return array<string, string> */
    private static function messages(): array
    {
        return [
            'key.required' => 'Send your own key with each entry (“key”) so it is not saved twice.',
            'act.required' => 'Enter what was done: sown, up, first picked …',
            'on.required' => 'Enter the day as YYYY-MM-DD.',
            'garden.required_with' => 'Enter the garden the bed is in.',
            'metres.between' => 'A row is 0.05 to 2,000 m long. Check the number and its unit.',
            'plants.between' => 'Enter the number of plants: 1 to 100,000.',
            'kilograms.between' => 'One harvest weighs 1 g to 2,000 kg. Check the number and its unit: 250 g is 0.25 kg.',
            'stems.between' => 'Enter the number of stems in one harvest: 1 to 50,000.',
            'quality.between' => 'Quality is 1 (poor), 2 (fair), or 3 (good).',
            'cause.required_if' => 'Choose what it was lost to, or “other”.',
            'celsius.required_if' => 'Enter what the thermometer showed.',
            'celsius.between' => 'A soil thermometer shows −40 to 80 °C. Check the number and its unit.',
            'depth.between' => 'Enter the depth in meters, 0 to 3: five centimeters is 0.05.',
            'bed.required_if' => 'Choose which bed it was.',
            'mm.required_if' => 'Enter what the gauge caught. If it is dry, enter 0.',
            'mm.between' => 'Enter 0 to 500 mm (20 in). Check the number and its unit.',
            'cue.required_if' => 'Choose which plant was seen, and in which stage.',
            'text.required_if' => 'Enter a note.',
            'text.max' => 'A note can have at most 2,000 characters. Split it in two.',
        ];
    }
}
