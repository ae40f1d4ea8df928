<?php

declare(strict_types=1);

namespace App\Office;

use Illuminate\Http\JsonResponse;

class OfficeController
{
    public function show(): JsonResponse
    {
        $office = Office::theOne();

        return response()->json([
            'data' => ($office ?? new Office([
                'name' => '',
                'second_signature' => false,
                'second_factor' => false,
                'units' => Office::UNITS,
                'dates' => Office::UNITS->dates(),
            ]))->only(Office::FIELDS) +
                array_fill_keys(Office::FIELDS, null) + [
                    'version' => $office->version ?? 1,
                    'signature_changed' => $office?->signatureChanged(),
                ],
        ]);
    }

    public function update(OfficeRequest $request, SaveOffice $save): JsonResponse
    {
        $save->execute($request->values(), $request->version(), $request->user());

        return $this->show();
    }
}
