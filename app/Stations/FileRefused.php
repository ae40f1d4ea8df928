<?php

declare(strict_types=1);

namespace App\Stations;

use Anthesis\Tables\FormatError;
use App\Operations\Say;
use Illuminate\Http\JsonResponse;
use RuntimeException;

/** A station file that cannot be used as it is. Its columns, if they are known, are included so one can choose among them. */
final class FileRefused extends RuntimeException
{
    public function __construct(private readonly FormatError $why)
    {
        parent::__construct(Say::phrase($why->why));
    }

    public function render(): JsonResponse
    {
        return response()->json(
            ['message' => $this->getMessage(), 'errors' => ['file' => [$this->getMessage()]], 'columns' => $this->why->headings],
            422,
        );
    }
}
