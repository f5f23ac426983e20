<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use App\Words\Voice;
use Carbon\CarbonImmutable;
use Diatherm\Measure\Message;
use Illuminate\Mail\Message as Letter;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\URL;

/** What is written to a cook. To be called after the answer is out: how long it takes tells nobody who has a kitchen here. */
final class Letters
{
    private const CONFIRM_WITHIN_HOURS = 72;

    /** A link that says the address is theirs. A visitor of the demo kitchen has none. */
    public static function confirm(User $cook): void
    {
        if ($cook->demo_until === null) {
            $link = URL::temporarySignedRoute(
                'confirm', CarbonImmutable::now()->addHours(self::CONFIRM_WITHIN_HOURS),
                ['cook' => $cook->id, 'address' => hash('sha256', $cook->email)], absolute: false,
            );
            self::send(
                $cook, Message::of('letter.confirm.subject'), Message::of('letter.confirm.words', name: $cook->name, link: url($link)),
            );
        }
    }

    public static function reset(User $cook, string $token): void
    {
        // After the mark: no server and no log on the way sees it.
        $link = url('/new-password').'#'.http_build_query(['token' => $token, 'email' => $cook->email]);
        self::send($cook, Message::of('letter.reset.subject'), Message::of('letter.reset.words', name: $cook->name, link: $link));
    }

    public static function passwordChanged(User $cook): void
    {
        self::send($cook, Message::of('letter.changed.subject'), Message::of('letter.changed.words', name: $cook->name, link: url('/')));
    }

    private static function send(User $cook, Message $subject, Message $words): void
    {
        $voice = Voice::metric();
        Mail::raw($voice->say($words)."\n", fn (Letter $letter) => $letter->to($cook->email)->subject($voice->say($subject)));
    }
}
