<?php

declare(strict_types=1);

namespace App\Office;

use Anthesis\Messages\Words;
use App\Operations\Answer;
use Illuminate\Http\JsonResponse;

class OfficeController
{
    public function show(): JsonResponse
    {
        $office = Office::inUse();

        return Answer::of($office->only([...Office::FIELDS, 'slug', 'version']) + [
            'signature_changed' => $office->signatureChanged(),
            'languages_there' => array_values(array_diff(Words::languages(), [Words::SOURCE])),
        ]);
    }

    public function update(OfficeRequest $request, SaveOffice $save): JsonResponse
    {
        $save->execute($request->values(), $request->version(), $request->user());

        return $this->show();
    }
}
