<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Cooker\CookerShed;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Roast\Stage;
use Diatherm\Ways\Elsewhere;
use Diatherm\Ways\Standing;

/** A dish onto another cooker that most people have. */
final class Move
{
    /** What most people have. Common practice. */
    private const USUAL = ['oven', 'kettle', 'gas'];

    /**
     * @param  list<int>  $dishes
     * @param  float  $leastC  no cooler than this
     * @return list<WayOut> the first that takes them; none where none does
     */
    public static function toUsual(Standing $standing, array $dishes, float $leastC = 0.0): array
    {
        $dish = $standing->dish($dishes[0]);
        $from = $dish->mainStage()->cooker;
        foreach (self::USUAL as $kind) {
            $to = CookerShed::kind($kind);
            if ($to->body === $from->body || $to->mostC < $leastC) {
                continue;
            }
            $moved = Elsewhere::move($standing, $dishes, $to, fn (Stage $stage): bool => $stage->cooker->body === $from->body, $leastC);
            if ($moved !== null) {
                return [new WayOut(
                    Message::of('obstacle.elsewhere', cooker: $to->short, heat: Quantity::celsius($moved->heatC)), $moved->roast->housed(),
                )];
            }
        }

        return [];
    }
}
