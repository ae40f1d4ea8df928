<?php

declare(strict_types=1);

namespace App\Log;

use Anthesis\Exchange\CsvText;
use Anthesis\Exchange\Delimited;
use App\Crops\Crop;
use App\Cues\CuePlant;
use App\People\User;
use App\Zones\Zone;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * Takes a table of lines into the log, all of it or nothing, oldest day first. A row that tells of a sowing is of the latest one of
 * its crop, variety and bed that was begun by its day. The same row is taken once, however often its file is brought.
 */
final class SaveLogFile
{
    public const MOST_ROWS = 10_000;

    /** Rows whose faults are told; the rest is counted. */
    private const TOLD_ROWS = 50;

    /** @var array<string, int> of crops */
    private array $ids = [];

    public function __construct(private readonly KeepEntry $keep)
    {
    }

    /**
     * @return int lines that are new
     *
     * @throws LogFileRefused
     */
    public function execute(Zone $zone, User $user, string $text): int
    {
        $rows = $this->rows($text);
        $slugs = [];
        foreach (Crop::query()->get() as $crop) {
            $slugs[mb_strtolower($crop->cells['name'])] = $slugs[$crop->slug] = $crop->slug;
            $this->ids[$crop->slug] = $crop->id;
        }
        $now = CarbonImmutable::now();

        // Whatever goes wrong, none of it is kept.
        return DB::transaction(function () use ($zone, $user, $rows, $slugs, $now): int {
            $faults = [];
            $kept = 0;
            foreach ($rows as [$line, $said]) {
                try {
                    $said['crop'] = isset($said['crop']) ? $slugs[mb_strtolower($said['crop'])] ?? $said['crop'] : null;
                    $said['sowing'] = $this->sowing($zone, $said);
                    $kept += $this->keep->execute($zone, $user, LoggedEntry::of($said + ['cue' => $this->cue($said)]), 'file', $now)->wasRecentlyCreated ? 1 : 0;
                } catch (EntryRefused $why) {
                    $faults[] = "Row {$line}, {$why->field}: {$why->getMessage()}";
                }
            }
            if ($faults !== []) {
                $more = count($faults) - self::TOLD_ROWS;
                throw new LogFileRefused([...array_slice($faults, 0, self::TOLD_ROWS), ...($more > 0 ? ["And {$more} rows more. Nothing was kept: put them right and bring the table again."] : [])]);
            }

            return $kept;
        });
    }

    /** @return list<array{int, array<string, string>}> line and cells of each row, the oldest day first */
    private function rows(string $text): array
    {
        if (! mb_check_encoding($text, 'UTF-8')) {
            throw new LogFileRefused(['The table is not text in UTF-8. Save it as “CSV UTF-8” and bring it again.']);
        }
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        $delimiter = Delimited::delimiterOf((string) strtok($text, "\r\n"));
        $stream = fopen('php://memory', 'w+') ?: throw new LogFileRefused(['There is no room to read the table. Try again.']);
        fwrite($stream, $text);
        rewind($stream);
        $names = array_map(static fn (?string $name): string => mb_strtolower(trim((string) $name)), fgetcsv($stream, null, $delimiter, '"', '') ?: []);
        if (! in_array('on', $names, true) || ! in_array('act', $names, true)) {
            throw new LogFileRefused(['Row 1: the table needs a heading with at least “on” (the day) and “act”; the columns are '.implode(', ', LogCsv::COLUMNS).'.']);
        }
        $rows = [];
        $seen = [];
        for ($number = 2; ($cells = fgetcsv($stream, null, $delimiter, '"', '')) !== false; $number++) {
            $said = $this->cells($names, array_map(static fn (?string $cell): string => trim((string) $cell), $cells));
            if ($said === []) {
                continue;
            }
            $same = implode("\0", $said);
            $seen[$same] = ($seen[$same] ?? 0) + 1;
            $said['key'] = 'file-'.substr(hash('sha256', "{$same}\0{$seen[$same]}"), 0, 48);
            $rows[] = [$number, $said];
        }
        fclose($stream);
        if ($rows === []) {
            throw new LogFileRefused(['The table has a heading and no row.']);
        }
        if (count($rows) > self::MOST_ROWS) {
            throw new LogFileRefused(['The table has '.count($rows).' rows; bring at most '.self::MOST_ROWS.' at a time, a year or two.']);
        }
        $begins = array_flip([LoggedAct::Sown->value, LoggedAct::SetOut->value]);
        usort($rows, static fn (array $a, array $b): int => [$a[1]['on'] ?? '', isset($begins[$a[1]['act'] ?? '']) ? 0 : 1, $a[0]] <=> [$b[1]['on'] ?? '', isset($begins[$b[1]['act'] ?? '']) ? 0 : 1, $b[0]]);

        return $rows;
    }

    /**
     * @param  list<string>  $names
     * @param  list<string>  $cells
     * @return array<string, string> those that hold something
     */
    private function cells(array $names, array $cells): array
    {
        $said = [];
        foreach ($names as $i => $name) {
            $cell = CsvText::bare($cells[$i] ?? '');
            if ($cell !== '' && in_array($name, LogCsv::COLUMNS, true)) {
                $said[$name] = $name === 'under_cover' ? (in_array(mb_strtolower($cell), ['yes', 'true', '1', 'x'], true) ? '1' : '0') : $cell;
            }
        }

        return $said;
    }

    /** @param  array<string, string|null>  $said */
    private function cue(array $said): ?int
    {
        if (! isset($said['plant'])) {
            return null;
        }

        return CuePlant::query()->where('name', $said['plant'])->where('stage', $said['stage'] ?? '')->first()->id
            ?? throw new EntryRefused('plant', 'There is no such plant in that stage on the county’s list. Put it there first.');
    }

    /** @param  array<string, string|null>  $said */
    private function sowing(Zone $zone, array $said): ?string
    {
        $act = LoggedAct::tryFrom($said['act'] ?? '');
        if ($act === null || ! ($act->follows() || $act === LoggedAct::SetOut) || ! isset($said['crop'], $said['on'])) {
            return null;
        }
        $sowings = Sowing::query()->where('zone_id', $zone->id)->where('taken_back', false)->where('begun_on', '<=', $said['on'])
            ->where('crop_id', $this->ids[$said['crop']] ?? 0)->where('variety', $said['variety'] ?? null)->orderByDesc('begun_on')->orderByDesc('id');
        if (isset($said['bed']) && $act !== LoggedAct::SetOut) {
            $sowings->where('bed_id', Bed::query()->where(['zone_id' => $zone->id, 'garden' => $said['garden'] ?? '', 'name' => $said['bed']])->value('id') ?? 0);
        }

        return ($act === LoggedAct::SetOut ? $sowings->where('under_cover', true)->whereNull('set_out_on') : $sowings)->value('sent_as');
    }
}
