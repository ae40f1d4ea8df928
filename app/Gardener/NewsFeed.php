<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Record\Day;
use Anthesis\Words\Phrase;
use App\Advisories\Advisory;
use App\Editions\Edition;
use App\Languages\Translation;
use App\Zones\Zone;
use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;
use XMLWriter;

/**
 * What is new in a zone, as Atom (RFC 4287): its editions, with what each changed, and advisories for the season. An entry's id stays the
 * same; one that was withdrawn appears again, with the reason.
 */
final class NewsFeed
{
    private const EDITIONS = 10;

    private const ADVISORIES = 30;

    public function write(Zone $zone, Reading $reading): string
    {
        $entries = [...$this->editions($zone, $reading), ...$this->advisories($zone, $reading)];
        usort($entries, static fn (array $a, array $b): int => $b['updated'] <=> $a['updated']);
        $xml = new XMLWriter();
        $xml->openMemory();
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElementNs(null, 'feed', 'http://www.w3.org/2005/Atom');
        $xml->writeElement('id', url("{$reading->prefix()}/zones/{$zone->slug}"));
        $xml->writeElement('title', $reading->say('news.title', ['zone' => $zone->name]));
        $xml->writeElement('updated', ($entries[0]['updated'] ?? Carbon::createFromTimestampUTC(0))->toRfc3339String());
        $this->link($xml, 'self', url("{$reading->prefix()}/zones/{$zone->slug}/news.atom"), 'application/atom+xml');
        $this->link($xml, 'alternate', url("{$reading->prefix()}/zones/{$zone->slug}"), 'text/html');
        foreach ($entries as $entry) {
            $xml->startElement('entry');
            $xml->writeElement('id', $entry['id']);
            $xml->writeElement('title', $entry['title']);
            $xml->writeElement('updated', $entry['updated']->toRfc3339String());
            $xml->startElement('author');
            $xml->writeElement('name', $entry['author']);
            $xml->endElement();
            $this->link($xml, 'alternate', $entry['url'], 'text/html');
            $xml->startElement('content');
            $xml->writeAttribute('type', 'text');
            $xml->text($entry['text']);
            $xml->endElement();
            $xml->endElement();
        }
        $xml->endElement();
        $xml->endDocument();

        return $xml->outputMemory();
    }

    /** @return list<array{id: string, title: string, updated: CarbonInterface, author: string, url: string, text: string}> */
    private function editions(Zone $zone, Reading $reading): array
    {
        $entries = [];
        foreach (
            Edition::query()->where('zone_id', $zone->id)->whereNotNull('in_force_at')->orderByDesc('number')
                ->limit(self::EDITIONS)->get() as $edition
        ) {
            if (! $edition->isSound()) {
                continue;
            }
            $url = url("{$reading->prefix()}/zones/{$zone->slug}/editions/{$edition->number}");
            $document = $edition->setRelation('zone', $zone)->open();
            $words = $reading->words($reading->own($document));
            $changes = array_map(static fn (array $c): string => $words->phrase($c['phrase']), $document->content['changes']['list'] ?? []);
            $entries[] = [
                'id' => $url,
                'title' => $reading->say($edition->standing ? 'news.edition' : 'news.edition-withdrawn', ['number' => $edition->number]),
                'updated' => $edition->withdrawn_on ?? ($edition->in_force_at ?? now()),
                'author' => $edition->published_by,
                'url' => $url,
                'text' => implode(
                    "\n",
                    array_filter([$words->own((string) $edition->withdrawn_why), $words->own($edition->note), ...$changes]),
                ),
            ];
        }

        return $entries;
    }

    /** @return list<array{id: string, title: string, updated: CarbonInterface, author: string, url: string, text: string}> */
    private function advisories(Zone $zone, Reading $reading): array
    {
        $entries = [];
        foreach (Advisory::query()->where('zone_id', $zone->id)->orderByDesc('id')->limit(self::ADVISORIES)->get() as $advisory) {
            $url = url("{$reading->prefix()}/zones/{$zone->slug}/this-week");
            $words = $reading->words(Translation::of($reading->language, $advisory->texts()));
            $entries[] = [
                'id' => url("{$reading->prefix()}/zones/{$zone->slug}/advisories/{$advisory->id}"),
                'title' => $reading->say($advisory->withdrawn_on === null ? 'news.advice' : 'news.withdrawn', ['zone' => $zone->name]),
                'updated' => $advisory->updated_at ?? now(),
                'author' => $advisory->author,
                'url' => $url,
                'text' => implode(
                    "\n",
                    array_filter([
                        ...array_map($words->own(...), $advisory->texts()),
                        $reading->say('news.until', ['day' => Phrase::day(Day::fromIso($advisory->until->format('Y-m-d'))->yearDay())]),
                    ]),
                ),
            ];
        }

        return $entries;
    }

    private function link(XMLWriter $xml, string $rel, string $href, string $type): void
    {
        $xml->startElement('link');
        $xml->writeAttribute('rel', $rel);
        $xml->writeAttribute('type', $type);
        $xml->writeAttribute('href', $href);
        $xml->endElement();
    }
}
