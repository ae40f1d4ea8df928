<?php

declare(strict_types=1);

namespace App\Gardener;

use App\Zones\Zone;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What is new in a zone, for people who read feeds. */
class NewsController
{
    public function __invoke(Request $request, Zone $zone, NewsFeed $feed): Response
    {
        PublishedEdition::find($zone, null);
        $xml = $feed->write($zone, Reading::of($request));
        $response = response($xml)
            ->withHeaders([
                'Content-Type' => 'application/atom+xml; charset=utf-8',
                'Access-Control-Allow-Origin' => '*',
                'Cache-Control' => 'public, max-age=300',
            ])
            ->setEtag(hash('sha256', $xml));
        $response->isNotModified($request);

        return $response;
    }
}
