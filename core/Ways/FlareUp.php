<?php

declare(strict_types=1);

namespace Diatherm\Ways;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Measure\Message;
use Diatherm\Roast\Stage;

/** Fat burns under it: starve the flames, or take it aside. Common practice. */
final class FlareUp
{
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
        $how = self::how($cooker);
        $starve = new Way(
            'starve',
            Message::of("ways.$how", dish: $standing->dish($dish)->name),
            Message::of("ways.$how.how"),
            Message::of('ways.price.look_again'),
            $standing->roast(),
        );
        // The same cooker with the food beside its fire.
        $to = $cooker->overFire ? $cooker->body : null;
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

    /** What takes its air, or its fire, away. */
    private static function how(Cooker $cooker): string
    {
        return match (true) {
            $cooker->light === 'gas' => 'burners_off',
            $cooker->light === 'switch' => 'switch_off',
            $cooker->vessel !== null => 'smother',
            $cooker->lid => 'starve',
            default => 'rake',
        };
    }
}
