<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\OwnSide;
use App\Models\User;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Roast\OwnSideFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Sides of the cook's own, kept to be found again and given away. */
final class OwnSideController
{
    use AsksItsCook;

    private const MOST_BYTES = 16_384;

    public function index(Request $request): JsonResponse
    {
        $cook = self::cook($request);

        return self::all($cook);
    }

    /** A side file; one of that name is replaced. */
    public function store(Request $request): JsonResponse
    {
        $body = $request->getContent();
        if (strlen($body) > self::MOST_BYTES) {
            throw InvalidInput::atField('file', Message::of('file.too_large', kb: intdiv(self::MOST_BYTES, 1024)));
        }
        $data = json_decode($body, true, 8);
        if (! is_array($data)) {
            throw InvalidInput::atField('file', Message::of('file.not_json'));
        }
        $side = OwnSideFile::read($data);
        $cook = self::cook($request);
        $cook->adding(function () use ($cook, $side): void {
            if ($cook->sides()->count() >= OwnSide::MOST_IN_A_KITCHEN) {
                throw InvalidInput::atField('file', Message::of('sides.a_kitchen_keeps_up', most: OwnSide::MOST_IN_A_KITCHEN));
            }
            $cook->sides()->updateOrCreate(['name' => $side->name], ['side' => OwnSideFile::write($side)]);
        });

        return self::all($cook)->setStatusCode(201);
    }

    public function export(OwnSide $side): JsonResponse
    {
        return new JsonResponse(
            $side->side,
            headers: ['Content-Disposition' => 'attachment; filename="side.json"'],
            options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE,
        );
    }

    public function destroy(OwnSide $side): Response
    {
        $side->delete();

        return new Response(status: 204);
    }

    private static function all(User $cook): JsonResponse
    {
        /** @var list<OwnSide> $sides */
        $sides = $cook->sides()->orderBy('name')->get()->all();

        return new JsonResponse(
            array_map(fn (OwnSide $own): array => ['id' => $own->id, 'name' => $own->name, 'side' => $own->side], $sides),
        );
    }
}
