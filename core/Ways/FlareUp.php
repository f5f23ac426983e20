<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\CookerShed;
use Diatherm\Measure\Message;
use Diatherm\Roast\Stage;

/** Fat burns under it: starve the flames, or take it aside. Common practice. */
final class FlareUp
{
    /** The same cooker with the food beside its fire. */
    private const ASIDE = ['kettle-direct' => 'kettle', 'gas-direct' => 'gas'];

    /** @return list<Way> */
    public static function ways(Question $question, Standing $standing): array
    {
        $dish = $standing->asked($question->dish);
        if ($dish === null || $standing->dish($dish)->isBuried()) {
            return [];
        }
        $cooker = $standing->dish($dish)->stages[$standing->step($dish)[0]]->cooker;
        if ($cooker->isRest()) {
            return [];
        }
        $starve = new Way(
            'starve',
            Message::of($cooker->lid ? 'ways.starve' : 'ways.rake', dish: $standing->dish($dish)->name),
            Message::of($cooker->lid ? 'ways.starve.how' : 'ways.rake.how'),
            Message::of('ways.price.look_again'),
            $standing->roast(),
        );
        $to = self::ASIDE[$cooker->id] ?? null;
        $leaves = fn (Stage $stage): bool => $stage->cooker->id === $cooker->id;
        $moved = $to === null ? null : Elsewhere::move($standing, [$dish], CookerShed::kind($to), $leaves);

        return $moved === null ? [$starve] : [$starve, new Way(
            'aside',
            Message::of('ways.aside', dish: $standing->dish($dish)->name),
            Message::of('ways.aside.how'),
            Message::of('ways.price.paler'),
            $moved->roast,
            $moved->begun,
        )];
    }
}
