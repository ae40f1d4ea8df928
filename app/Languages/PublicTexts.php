<?php

declare(strict_types=1);

namespace App\Languages;

use Anthesis\Crop\Crop as CropParameters;
use App\Advisories\Advisory;
use App\Crops\Crop;
use App\Office\Office;
use App\Sites\Site;
use App\Windows\CropChoice;
use App\Zones\Zone;

/** What people wrote that gardeners read, or will read in the next edition. */
final class PublicTexts
{
    /**
     * @return list<array{text: string, where: string, of: string}> each text once, and where it appears: `crop-name`, `crop-also`,
     *   `crop-note`, `own-dates`, `site`, `district`, `advice`, `office`
     */
    public function all(): array
    {
        $texts = [];
        foreach (Zone::query()->orderBy('name')->get() as $zone) {
            $texts[] = self::text($zone->district, 'district', $zone->name);
            foreach (Advisory::shown($zone, $zone->today())->get() as $advisory) {
                foreach ($advisory->texts() as $text) {
                    $texts[] = self::text($text, 'advice', $zone->name);
                }
            }
        }
        foreach (CropChoice::query()->whereNull('undone_at')->whereNotNull('windows')->orderBy('id')->get() as $choice) {
            $texts[] = self::text($choice->reason, 'own-dates', $choice->crop);
        }
        foreach (Office::inUse()->texts() as $text) {
            $texts[] = self::text($text, 'office', '');
        }
        foreach (Site::query()->orderBy('id')->pluck('name') as $name) {
            $texts[] = self::text((string) $name, 'site', '');
        }
        foreach (Crop::book() as $crop) {
            if ($crop->kind !== CropParameters::COVER) {
                $texts[] = self::text($crop->name, 'crop-name', $crop->name);
                $texts[] = self::text($crop->notes ?? '', 'crop-note', $crop->name);
                $texts[] = self::text($crop->alsoCalled ?? '', 'crop-also', $crop->name);
            }
        }

        // If a text appears in two places, the first is named.
        return array_values(
            array_filter(array_reverse(array_column(array_reverse($texts), null, 'text')), static fn (array $t): bool => $t['text'] !== ''),
        );
    }

    /** @return array{text: string, where: string, of: string} */
    private static function text(string $text, string $where, string $of): array
    {
        return ['text' => $text, 'where' => $where, 'of' => $of];
    }
}
