<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Office\Office;
use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The open data: anyone may download it from anywhere, and cache it for an hour. */
class OpenDataController
{
    public function __construct(private readonly OpenData $data)
    {
    }

    public function index(Request $request): Response
    {
        return $this->json($request, $this->data->index());
    }

    public function office(Request $request, Office $office): Response
    {
        return $this->json($request, $this->data->index($office));
    }

    public function table(Request $request, string $table, string $format): Response
    {
        return $this->rows($request, $this->data->table($table), $table, $format);
    }

    public function zoneTable(Request $request, Zone $zone, string $table, string $format): Response
    {
        return $this->rows($request, $this->data->zoneTable($zone, $table), "{$zone->slug}-{$table}", $format);
    }

    public function boundaries(Request $request): Response
    {
        return $this->json($request, $this->data->boundaries(), 'application/geo+json');
    }

    /** The script that checks an edition, so you can read it before you run it. */
    public function check(Request $request): Response
    {
        return $this->send($request, (string) file_get_contents(base_path('bin/check-edition')), 'text/plain; charset=utf-8');
    }

    /** @param  list<array<string, string|int|float|bool|null>>  $rows */
    private function rows(Request $request, array $rows, string $name, string $format): Response
    {
        return $format === 'csv'
            ? $this->send($request, OpenData::csv($rows), 'text/csv; charset=utf-8')->withHeaders([
                'Content-Disposition' => "attachment; filename=\"{$name}.csv\"",
            ])
            : $this->json($request, ['version' => OpenData::VERSION, 'data' => $rows]);
    }

    /** @param  array<string, mixed>  $data */
    private function json(Request $request, array $data, string $type = 'application/json'): Response
    {
        return $this->send($request, json_encode($data, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), $type);
    }

    private function send(Request $request, string $text, string $type): Response
    {
        $response = response($text)
            ->withHeaders(['Content-Type' => $type, 'Access-Control-Allow-Origin' => '*', 'Cache-Control' => 'public, max-age=3600'])
            ->setEtag(hash('sha256', $text));
        $response->isNotModified($request);

        return $response;
    }
}
