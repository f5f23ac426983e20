<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\Edition;
use App\Words\Voice;
use Diatherm\Measure\Message;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** A change was made from what does not stand any more: nothing is changed, and what stands is answered. */
final class Outdated extends HttpException
{
    /** @param  array<string, mixed>  $current */
    public function __construct(
        private readonly Edition $edition,
        private readonly array $current,
    ) {
        parent::__construct(412, Voice::ofTheReader()->say(Message::of('file.outdated')));
    }

    public function render(): JsonResponse
    {
        return new JsonResponse(
            ['message' => $this->getMessage(), 'edition' => $this->edition->mark, 'current' => $this->current], 412, ['ETag' => $this->edition->tag()],
            JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
