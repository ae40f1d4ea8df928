<?php

declare(strict_types=1);

namespace App\Office;

class OfficeController
{
    public function show(): OfficeResource
    {
        return new OfficeResource(Office::inUse());
    }

    public function update(OfficeRequest $request, SaveOffice $save): OfficeResource
    {
        $save->execute($request->values(), $request->version(), $request->user());

        return $this->show();
    }
}
