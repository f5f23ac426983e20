<?php

declare(strict_types=1);

namespace App\Work;

use App\Words\Voice;
use Diatherm\Measure\Message;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Too much is asked at once, or was asked of late: answered 429 with words and the time after which to come back. */
final class Busy extends HttpException
{
    private function __construct(Message $words, int $retryAfterS)
    {
        parent::__construct(429, Voice::ofTheReader()->say($words), headers: ['Retry-After' => (string) $retryAfterS]);
    }

    /** Another answer is being worked out for the same kitchen, or for as many kitchens as this machine takes at once. */
    public static function now(): self
    {
        return new self(Message::of('work.one_at_a_time'), 1);
    }

    /** @param  float  $seconds  until some of what was spent is there again */
    public static function spent(float $seconds): self
    {
        $wait = max(1, (int) ceil($seconds));

        return new self(Message::of('work.spent', seconds: $wait), $wait);
    }
}
