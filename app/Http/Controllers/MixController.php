<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MeasuresRequest;
use App\Models\Mix;
use App\Models\User;
use Diatherm\Food\Mix as CoreMix;
use Diatherm\Food\MixItem;
use Diatherm\Food\RecipeText;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Mixes, ours and the cook's own, scaled to the meat. */
final class MixController
{
    use AsksItsCook;

    private const MOST_BYTES = 262_144;

    private const MOST_TEXT_BYTES = 16_384;

    /** Guests, kilograms or litres that a recipe is written out for. */
    private const RECIPE_FOR = 4.0;

    /** Scaled by mass_kg of meat, litres and guests; each mix takes what it is made for. */
    public function index(MeasuresRequest $request): JsonResponse
    {
        $cook = self::cook($request);

        return self::all($cook, $request->measures());
    }

    /** @param  array{per_kg: float, per_l: float, per_guest: float, parts: float}  $measures */
    private static function all(User $cook, array $measures): JsonResponse
    {
        $answer = [];
        /** @var list<Mix> $mixes */
        $mixes = $cook->mixes()->orderBy('name')->get()->all();
        foreach ($mixes as $own) {
            $answer[] = self::own($own, $measures);
        }
        foreach (CoreMix::ours() as $mix) {
            $answer[] = self::shown($mix, $measures, false);
        }

        return new JsonResponse($answer);
    }

    /** A mix file, or a published recipe as JSON-LD. */
    public function store(Request $request): JsonResponse
    {
        $body = $request->getContent();
        if (strlen($body) > self::MOST_BYTES) {
            throw InvalidInput::atField('file', Message::of('file.too_large', kb: intdiv(self::MOST_BYTES, 1024)));
        }
        $data = json_decode($body, true, 32);
        if (! is_array($data)) {
            throw InvalidInput::atField('file', Message::of('file.not_json'));
        }
        $mix = isset($data['items']) || isset($data['format']) || isset($data['name']) && ! isset($data['@type'])
            ? CoreMix::read($data)
            : CoreMix::fromRecipe($data);
        // Computed before it is kept: what cannot be scaled is refused now, not each time that it is listed.
        $mix->scaled(1.0);
        $cook = self::cook($request);
        $cook->adding(function () use ($cook, $mix): void {
            if ($cook->mixes()->count() >= Mix::MOST_IN_A_KITCHEN) {
                throw InvalidInput::atField('file', Message::of('mixes.a_kitchen_keeps_up', most: Mix::MOST_IN_A_KITCHEN));
            }
            $cook->mixes()->create(['name' => $mix->name, 'mix' => $mix->toArray()]);
        });

        return self::all($cook, MeasuresRequest::ONE)->setStatusCode(201);
    }

    /** A recipe as plain text, read and not kept: the cook corrects what was not understood. */
    public function read(Request $request): JsonResponse
    {
        $text = $request->json('text');
        if (! is_string($text) || trim($text) === '' || strlen($text) > self::MOST_TEXT_BYTES || ! mb_check_encoding($text, 'UTF-8')) {
            throw InvalidInput::atField('text', Message::of('mixes.paste_a_recipe', kb: intdiv(self::MOST_TEXT_BYTES, 1024)));
        }

        $published = json_decode($text, true, 32);

        return new JsonResponse(is_array($published) ? CoreMix::fromRecipe($published)->toArray() : RecipeText::read($text));
    }

    /** As a mix file, or as a recipe in JSON-LD for four. */
    public function export(Request $request, Mix $mix): JsonResponse
    {
        if ($request->query('as') === 'recipe') {
            return new JsonResponse(CoreMix::read($mix->mix)->toRecipe(self::RECIPE_FOR), headers: [
                'Content-Type' => 'application/ld+json', 'Content-Disposition' => 'attachment; filename="recipe.jsonld"',
            ], options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        }

        return new JsonResponse(
            $mix->mix,
            headers: ['Content-Disposition' => 'attachment; filename="mix.json"'],
            options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE,
        );
    }

    public function destroy(Mix $mix): Response
    {
        $mix->delete();

        return new Response(status: 204);
    }

    /**
     * A stored mix; one that can no longer be read is told so, to be taken out or deleted, and takes no other down.
     *
     * @param  array{per_kg: float, per_l: float, per_guest: float, parts: float}  $measures
     * @return array<string, mixed>
     */
    private static function own(Mix $own, array $measures): array
    {
        try {
            return self::shown(CoreMix::read($own->mix, $own->id), $measures, true);
        } catch (InvalidInput|OutOfRange|\TypeError $wrong) {
            return [
                'id' => $own->id,
                'own' => true,
                'name' => $own->name,
                'kind' => 'other',
                'basis' => 'per_kg',
                'basis_words' => null,
                'items' => [],
                'method' => '',
                'trouble' => Message::of('mixes.this_mix_can_no_longer'),
            ];
        }
    }

    /**
     * @param  array{per_kg: float, per_l: float, per_guest: float, parts: float}  $measures
     * @return array<string, mixed>
     */
    private static function shown(CoreMix $mix, array $measures, bool $own): array
    {
        return [
            'id' => $mix->id,
            'own' => $own,
            'name' => $mix->name,
            'kind' => $mix->kind,
            'basis' => $mix->basis,
            'basis_words' => Message::of('mix_basis.'.$mix->basis),
            'items' => array_map(
                fn (MixItem $item): array => ['what' => $item->what, 'amount' => $item->inWords()],
                $mix->scaled($measures[$mix->basis]),
            ),
            'method' => $mix->method,
            'trouble' => null,
        ];
    }
}
