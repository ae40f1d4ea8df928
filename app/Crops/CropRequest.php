<?php

declare(strict_types=1);

namespace App\Crops;

use Anthesis\Crop\CropSchema;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\FormatError;
use App\Operations\Say;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

/** Cells of a crop to change. */
class CropRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('update', $this->route('crop')) === true;
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'cells' => [
                $this->isMethod('PATCH') ? 'required' : 'present',
                'array:'.implode(',', array_diff(array_keys(CropSchema::columns()), ['slug'])),
            ],
            'cells.*' => ['nullable', 'string', 'max:500'],
            'note' => [$this->isMethod('PATCH') ? 'required' : 'nullable', 'string', 'max:500'],
            'zone' => ['nullable', 'string'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.required' => 'Explain in a few words why, and where the number comes from.'];
    }

    /**
     * @return array<string, string> all cells of the crop, checked
     *
     * @throws ValidationException naming the column
     */
    public function cells(Crop $crop): array
    {
        $cells = array_map(static fn (?string $c): string => trim((string) $c), $this->validated('cells')) + $crop->cells;
        try {
            CropCsv::crop($cells);
        } catch (FormatError $error) {
            // The line number means nothing here: there is only one crop.
            throw ValidationException::withMessages(['cells.'.$error->column => ucfirst(Say::phrase($error->reason))]);
        }

        return $cells;
    }

    public function note(): string
    {
        return (string) $this->validated('note');
    }
}
