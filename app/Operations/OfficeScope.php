<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Scope;

/** The only place that decides which rows are seen: those of the office in use. Every model with `OfOffice` has it. */
final readonly class OfficeScope implements Scope
{
    /** @param  OfficeThrough|null  $through  null: the rows have an office of their own */
    public function __construct(private ?OfficeThrough $through)
    {
    }

    /**
     * @param  Builder<Model>  $builder
     * @param  Model  $model  with OfOffice
     */
    public function apply(Builder $builder, Model $model): void
    {
        $office = OfficeInUse::id();
        if ($office === null) {
            return;
        }
        if ($this->through === null) {
            $builder->where($model->qualifyColumn('office_id'), $office);
        } else {
            $builder->whereIn($model->qualifyColumn($this->through->column), $this->through->model::query()->select('id')->toBase());
        }
    }
}
