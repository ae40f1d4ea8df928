<?php

declare(strict_types=1);

namespace App\Operations;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Database\Eloquent\Model;

/**
 * Whether there is such a row, as far as this person can see. The framework's own rule asks the table, and would find every office's rows.
 */
final readonly class SeenHere implements ValidationRule
{
    /** @param  class-string<Model>  $model */
    public function __construct(private string $model, private string $column, private string $else)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value) || $this->model::query()->where($this->column, $value)->doesntExist()) {
            $fail($this->else);
        }
    }
}
