<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Kitchen\KitchenFile;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** A whole kitchen, out and in. */
final class KitchenController
{
    use AsksItsCook;

    private const MOST_BYTES = 20 * 1024 * 1024;

    private const DEEPEST = 24;

    /** Lists and objects in it; each takes some hundred bytes of memory once it is read. A file of that size, full of readings, has some 200 000. */
    private const MOST_PARTS = 300_000;

    public function export(Request $request): JsonResponse
    {
        return new JsonResponse(
            KitchenFile::write(self::cook($request)),
            headers: ['Content-Disposition' => 'attachment; filename="kitchen.json"'],
            options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    public function import(Request $request): Response
    {
        $body = $request->getContent();
        if (strlen($body) > self::MOST_BYTES || substr_count($body, '[') + substr_count($body, '{') > self::MOST_PARTS) {
            throw InvalidInput::atField('file', Message::of('file.too_large', kb: intdiv(self::MOST_BYTES, 1024)));
        }
        KitchenFile::read(json_decode($body, true, self::DEEPEST), self::cook($request));

        return new Response(status: 204);
    }
}
