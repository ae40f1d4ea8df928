<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Calendar\CropSheet;
use Anthesis\Calendar\EditionDocument;
use Anthesis\Calendar\WeekList;
use Anthesis\Record\Latitude;
use Anthesis\Record\SowDay;

/**
 * The pages of an edition. Each takes from the frozen document what it shows, and nothing from anywhere else.
 *
 * @phpstan-import-type Sheet from CropSheet
 */
final class EditionPages
{
    public function __construct(private readonly PageRenderer $renderer)
    {
    }

    public function calendar(EditionDocument $edition, string $base): Page
    {
        $content = $edition->content;

        return new Page('calendar', $this->common($edition, $base) + [
            'ruler' => $content['ruler'],
            'record' => $content['record'],
            'crops' => array_map(static fn (array $sheet): array => [
                'slug' => $sheet['slug'],
                'name' => $sheet['name'],
                'kind' => $sheet['kind'],
                'routes' => array_map(self::withoutEvidence(...), $sheet['routes']),
            ], $content['crops']),
        ], "Sowing calendar, {$content['zone']['name']}");
    }

    public function week(EditionDocument $edition, string $base, int $week): Page
    {
        $content = $edition->content['weeks'][$week - 1];
        $cautions = [];
        foreach ($edition->content['crops'] as $sheet) {
            if ($sheet['cautions'] !== [] && in_array($sheet['slug'], array_column($content['tasks'], 'crop'), true)) {
                $cautions[$sheet['slug']] = array_column($sheet['cautions'], 'in_words');
            }
        }
        $first = SowDay::fromNumber(7 * $week - 6);

        return new Page('week', $this->common($edition, $base) + [
            'week' => $content,
            'cautions' => (object) $cautions,
            'previous' => $week === 1 ? WeekList::WEEKS : $week - 1,
            'next' => $week === WeekList::WEEKS ? 1 : $week + 1,
            'frost' => $this->frostInWords($edition, $first),
        ], "Week of {$first->inWords()}, {$edition->content['zone']['name']}");
    }

    public function crop(EditionDocument $edition, string $base, string $slug): ?Page
    {
        foreach ($edition->content['crops'] as $sheet) {
            if ($sheet['slug'] === $slug) {
                return new Page('crop', $this->common($edition, $base) + [
                    'ruler' => $edition->content['ruler'],
                    'crop' => $sheet,
                ], "{$sheet['name']}, {$edition->content['zone']['name']}");
            }
        }

        return null;
    }

    /** Renders every page of an edition once, so that none has to be rendered while a gardener waits. */
    public function renderAll(EditionDocument $edition): void
    {
        $base = "/zones/{$edition->content['zone']['slug']}";
        $pages = [$this->calendar($edition, $base)];
        foreach (range(1, WeekList::WEEKS) as $week) {
            $pages[] = $this->week($edition, $base, $week);
        }
        foreach ($edition->content['crops'] as $sheet) {
            $pages[] = $this->crop($edition, $base, $sheet['slug']);
        }
        $this->renderer->render(array_values(array_filter($pages)));
    }

    /** @return array<string, mixed> */
    private function common(EditionDocument $edition, string $base): array
    {
        $content = $edition->content;

        return [
            'base' => $base,
            'zone' => array_intersect_key($content['zone'], array_flip(['slug', 'name', 'district', 'hemisphere', 'height_m'])),
            'edition' => $content['edition'] + ['checksum' => $edition->checksum],
            'guidance' => $content['guidance'],
        ];
    }

    private function frostInWords(EditionDocument $edition, SowDay $day): string
    {
        $ruler = $edition->content['ruler'];
        // From midwinter to the day cold seasons are counted from, as at the desk.
        $latitude = Latitude::of($edition->content['zone']['latitude']);
        $spring = $latitude->midwinter()->daysUntil($day) < $latitude->midwinter()->daysUntil($latitude->coldSeasonStart());
        $count = $ruler[$spring ? 'freeze_to_come' : 'freeze_has_come'][$day->number - 1];

        return $spring
            ? "In {$count} of {$ruler['seasons']} seasons on record a freeze still came on or after {$day->inWords()}."
            : "In {$count} of {$ruler['seasons']} seasons on record the first freeze had come by {$day->inWords()}.";
    }

    /**
     * @param  array<string, mixed>  $route
     * @return array<string, mixed>
     */
    private static function withoutEvidence(array $route): array
    {
        return array_diff_key($route, ['derivation' => true, 'reasons' => true]);
    }
}
