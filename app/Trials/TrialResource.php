<?php

declare(strict_types=1);

namespace App\Trials;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Trial */
class TrialResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        foreach ($this->plots as $plot) {
            $plot->setRelation('trial', $this->resource);
        }

        return [
            'id' => $this->id,
            'crop' => $this->crop->slug,
            'name' => $this->crop->cells['name'],
            'route' => $this->route,
            'question' => $this->question,
            'author' => $this->user?->name,
            'closed' => $this->closed_on === null
                    ? null
                    : [
                        'on' => $this->closed_on->format('Y-m-d'),
                        'by' => (string) $this->closed_by,
                        'conclusion' => (string) $this->conclusion,
                    ],
            'plots' => $this->plots
                ->map(
                    static fn (TrialPlot $p): array => [
                        'plot' => $p->id,
                        'wave' => $p->wave,
                        'variety' => $p->variety,
                        'repeat' => $p->repeat,
                        'on' => $p->planned_on->format('Y-m-d'),
                        'bed' => $p->bed?->told(),
                        'expected' => $p->expected,
                        'sowing' => $p->sowing?->told(),
                    ],
                )
                ->values(),
            'verdict' => TrialVerdict::of($this->resource),
        ];
    }
}
