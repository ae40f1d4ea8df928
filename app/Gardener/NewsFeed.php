<?php

declare(strict_types=1);

namespace App\Gardener;

use Anthesis\Exchange\Words;
use Anthesis\Record\Day;
use Anthesis\Words\Phrase;
use App\Advisories\Advisory;
use App\Editions\Edition;
use App\Operations\Say;
use App\Zones\Zone;
use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;
use XMLWriter;

/**
 * What is new in a zone, as Atom (RFC 4287): its editions, with what each changed, and what gardeners were told of the season. An
 * entry's id stays the same; one that was withdrawn is told anew, with the reason.
 */
final class NewsFeed
{
    private const EDITIONS = 10;

    private const ADVISORIES = 30;

    public function write(Zone $zone): string
    {
        $entries = [...$this->editions($zone), ...$this->advisories($zone)];
        usort($entries, static fn (array $a, array $b): int => $b['updated'] <=> $a['updated']);
        $xml = new XMLWriter;
        $xml->openMemory();
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElementNs(null, 'feed', 'http://www.w3.org/2005/Atom');
        $xml->writeElement('id', url("/zones/{$zone->slug}"));
        $xml->writeElement('title', Say::key('news.title', ['zone' => $zone->name]));
        $xml->writeElement('updated', ($entries[0]['updated'] ?? Carbon::createFromTimestampUTC(0))->toRfc3339String());
        $this->link($xml, 'self', url("/zones/{$zone->slug}/news.atom"), 'application/atom+xml');
        $this->link($xml, 'alternate', url("/zones/{$zone->slug}"), 'text/html');
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
    private function editions(Zone $zone): array
    {
        $entries = [];
        foreach (Edition::query()->where('zone_id', $zone->id)->whereNotNull('in_force_at')->orderByDesc('number')->limit(self::EDITIONS)->get() as $edition) {
            if (! $edition->isSound()) {
                continue;
            }
            $url = url("/zones/{$zone->slug}/editions/{$edition->number}");
            $changes = array_map(static fn (array $c): string => Words::in(app()->getLocale())->phrase($c['phrase']), $edition->setRelation('zone', $zone)->open()->content['changes']['list'] ?? []);
            $entries[] = ['id' => $url, 'title' => Say::key('news.edition', ['number' => $edition->number]), 'updated' => $edition->in_force_at ?? now(), 'author' => $edition->published_by, 'url' => $url,
                'text' => implode("\n", [$edition->note, ...$changes])];
        }

        return $entries;
    }

    /** @return list<array{id: string, title: string, updated: CarbonInterface, author: string, url: string, text: string}> */
    private function advisories(Zone $zone): array
    {
        $entries = [];
        foreach (Advisory::query()->where('zone_id', $zone->id)->orderByDesc('id')->limit(self::ADVISORIES)->get() as $advisory) {
            $url = url("/zones/{$zone->slug}/this-week");
            $entries[] = ['id' => url("/zones/{$zone->slug}/advisories/{$advisory->id}"), 'title' => Say::key($advisory->withdrawn_on === null ? 'news.advice' : 'news.withdrawn', ['zone' => $zone->name]),
                'updated' => $advisory->updated_at ?? now(), 'author' => $advisory->author, 'url' => $url,
                'text' => implode("\n", array_filter([$advisory->text, $advisory->withdrawn_why, Say::key('news.until', ['day' => Phrase::day(Day::fromIso($advisory->until->format('Y-m-d'))->yearDay())])]))];
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
