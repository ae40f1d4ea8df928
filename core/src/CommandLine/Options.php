<?php

declare(strict_types=1);

namespace Anthesis\CommandLine;

use Anthesis\Climate\FreezeRisk;
use Anthesis\Crop\Crop;
use Anthesis\Crop\CropTable;
use Anthesis\Crop\LightSchool;
use Anthesis\Record\DailyRecord;
use Anthesis\Record\Day;
use Anthesis\Record\Latitude;
use Anthesis\Record\QualityControl;
use Anthesis\Record\YearDay;
use Anthesis\Replay\Replay;
use Anthesis\Soil\Ground;
use Anthesis\Soil\Site;
use Anthesis\Stations\DailyRecordReading;
use Anthesis\Stations\StationFileReader;
use Anthesis\Tables\CropCsv;
use Anthesis\Tables\CropParameters;
use Anthesis\Tables\FormatError;
use InvalidArgumentException;

/** The options of one call, read into core values. */
final readonly class Options
{
    /** @param  array<string, string>  $values */
    private function __construct(private array $values)
    {
    }

    /**
     * @param  list<string>  $arguments  `--name value` or `--name=value`
     * @param  list<string>  $known
     * @param  list<string>  $flags  those without a value
     */
    public static function parse(array $arguments, array $known, array $flags = []): self
    {
        $values = [];
        for ($i = 0; $i < count($arguments); $i++) {
            if (preg_match('/^--([a-z-]+)(?:=(.*))?$/s', $arguments[$i], $found) !== 1) {
                throw new UsageError("“{$arguments[$i]}” is not an option; options are written --name value.");
            }
            if (in_array($found[1], $flags, true) && ! isset($found[2])) {
                $values[$found[1]] = 'yes';

                continue;
            }
            if (! in_array($found[1], $known, true)) {
                throw new UsageError("There is no option --{$found[1]} here; there are: --".implode(', --', [...$known, ...$flags]).'.');
            }
            $values[$found[1]] = $found[2] ?? ($arguments[++$i] ?? throw new UsageError("The option --{$found[1]} needs a value."));
        }

        return new self($values);
    }

    public function get(string $name, ?string $default = null): string
    {
        return $this->values[$name] ?? ($default ?? throw new UsageError("The option --{$name} is needed."));
    }

    public function has(string $flag): bool
    {
        return isset($this->values[$flag]);
    }

    /** @param  list<string>  $choices */
    public function choice(string $name, array $choices, string $default): string
    {
        $value = $this->get($name, $default);

        return in_array($value, $choices, true)
            ? $value
            : throw new UsageError("--{$name} is one of ".implode(', ', $choices)."; “{$value}” is not.");
    }

    public function number(string $name, ?string $default = null): float
    {
        $value = str_replace('−', '-', $this->get($name, $default));

        return is_numeric($value) ? (float) $value : throw new UsageError("--{$name} is a number; “{$value}” is not.");
    }

    public function latitude(): Latitude
    {
        return $this->checked('latitude', fn (): Latitude => Latitude::of($this->number('latitude')));
    }

    public function risk(): FreezeRisk
    {
        return $this->checked('risk', fn (): FreezeRisk => FreezeRisk::of($this->number('risk', '0.5')));
    }

    public function site(): Site
    {
        $site = $this->checked('site', fn (): Site => Site::named($this->get('site', 'open ground')));
        if (! isset($this->values['depth'])) {
            return $site;
        }
        $depth = $this->number('depth');

        return $depth >= 0.0 && $depth <= 3.0
            ? $site->atDepth($depth)
            : throw new UsageError("--depth is a number of metres from 0 to 3; {$depth} is not.");
    }

    /** The replay of a record at the given place, site, and way of counting light. */
    public function replay(DailyRecord $record): Replay
    {
        return new Replay($record, $this->latitude(), $this->site(), $this->light());
    }

    /** @return float share of years, 0…1 */
    public function standard(): float
    {
        $share = $this->number('standard', '0.8');

        return $share > 0.0 && $share <= 1.0
            ? $share
            : throw new UsageError("--standard is a share of years above 0 and up to 1; {$share} is not.");
    }

    /** @throws UsageError unless it is a day of the year, MM-DD */
    public function day(string $name = 'day'): YearDay
    {
        $day = $this->get($name);

        return $this->checked($name, static fn (): YearDay => YearDay::fromIso($day));
    }

    /** @throws UsageError unless it is a count of days within a year */
    public function days(string $name): int
    {
        $days = $this->get($name);

        return ctype_digit($days) && (int) $days <= YearDay::YEAR
            ? (int) $days
            : throw new UsageError("--{$name} is a count of days from 0 to ".YearDay::YEAR."; “{$days}” is not.");
    }

    /** @throws UsageError unless it is a date from one day to another */
    public function date(string $name, Day $from, Day $to): Day
    {
        $text = $this->get($name);
        $day = $this->checked($name, static fn (): Day => Day::fromIso($text));

        return $day->number >= $from->number && $day->number <= $to->number
            ? $day
            : throw new UsageError("--{$name} is a date from {$from->iso()} to {$to->iso()}; {$text} is not.");
    }

    public function light(): LightSchool
    {
        return LightSchool::from(
            $this->choice('light', array_column(LightSchool::cases(), 'value'), LightSchool::Radiation->value),
        );
    }

    /** One crop: of the table by its slug, or of a file of its own. */
    public function crop(): Crop
    {
        if (isset($this->values['crop-file']) === isset($this->values['crop'])) {
            throw new UsageError('Say which crop, with either --crop SLUG or --crop-file FILE.json.');
        }
        if (isset($this->values['crop'])) {
            return $this->crops()->find($this->values['crop']) ??
                throw new UsageError(
                    "There is no crop “{$this->values['crop']}” in the table; look up its slug in the first column.",
                );
        }
        $path = $this->values['crop-file'];
        $json = $path === '-' ? stream_get_contents(STDIN) : (is_file($path) ? file_get_contents($path) : false);
        if ($json === false) {
            throw new UsageError("There is no file “{$path}” to read a crop from.");
        }
        try {
            return CropParameters::fromJson($json);
        } catch (FormatError $error) {
            throw new UsageError($path.': '.$error->getMessage(), 0, $error);
        }
    }

    /** @return array{int|null, int|null} first and last season, null: all */
    public function years(): array
    {
        if (! isset($this->values['years'])) {
            return [null, null];
        }
        if (preg_match('/^(\d{4})-(\d{4})$/', $this->values['years'], $found) !== 1 || $found[1] > $found[2]) {
            throw new UsageError("--years is written as 1991-2020; “{$this->values['years']}” is not.");
        }

        return [(int) $found[1], (int) $found[2]];
    }

    /** The record after quality control. */
    public function record(): DailyRecord
    {
        $reading = $this->daily('record');

        return (new QualityControl())->check($reading->asRead, $reading->marks)->usable;
    }

    /** The record after quality control. */
    public function recordWithRain(): DailyRecord
    {
        $record = $this->record();

        return $record->rain !== null
            ? $record
            : throw new UsageError("{$this->get('record')} has no column of rain: add the daily precipitation, for example as “rain_mm”.");
    }

    public function ground(): Ground
    {
        $name = $this->get('ground', Ground::DEFAULT);

        return $this->checked('ground', static fn (): Ground => Ground::named($name));
    }

    /** The days forecast after the record, as given; null: none. */
    public function outlook(): ?DailyRecord
    {
        return isset($this->values['outlook']) ? $this->daily('outlook')->asRead : null;
    }

    private function daily(string $option): DailyRecordReading
    {
        $path = $this->get($option);
        $stream = $path === '-' ? STDIN : (is_file($path) ? fopen($path, 'r') : false);
        if ($stream === false) {
            throw new UsageError("There is no file “{$path}” to read a record from.");
        }
        try {
            return (new StationFileReader())->read($stream);
        } catch (FormatError $error) {
            throw new UsageError($path.': '.$error->getMessage(), 0, $error);
        }
    }

    public function crops(): CropTable
    {
        if (! isset($this->values['crops'])) {
            return CropCsv::standard();
        }
        $path = $this->values['crops'];
        try {
            return CropCsv::fromFile($path === '-' ? 'php://stdin' : $path);
        } catch (FormatError $error) {
            throw new UsageError($path.': '.$error->getMessage(), 0, $error);
        }
    }

    /**
     * @template T
     *
     * @param  callable(): T  $make
     * @return T
     */
    private function checked(string $name, callable $make): mixed
    {
        try {
            return $make();
        } catch (InvalidArgumentException $error) {
            throw new UsageError("--{$name}: ".$error->getMessage(), 0, $error);
        }
    }
}
