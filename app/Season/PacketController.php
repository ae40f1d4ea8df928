<?php

declare(strict_types=1);

namespace App\Season;

use App\Crops\Crop;
use App\Operations\Answer;
use App\People\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The crops that the person at the desk has seed of. */
class PacketController
{
    public function index(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();

        return Answer::of(Packet::of($user));
    }

    public function update(Request $request, Crop $crop, SavePacket $save): JsonResponse
    {
        $has = (bool) $request->validate(['has' => ['required', 'boolean']], ['has.required' => 'Choose yes or no (“has”).'])['has'];
        /** @var User $user */
        $user = $request->user();
        $save->execute($user, $crop, $has);

        return $this->index($request);
    }
}
