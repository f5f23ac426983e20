<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Mail\Message;
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
            self::send($cook, 'confirm', 'Is this your address?', url($link));
        }
    }

    public static function reset(User $cook, string $token): void
    {
        // After the mark: no server and no log on the way sees it.
        self::send($cook, 'reset', 'A new password', url('/new-password').'#'.http_build_query(['token' => $token, 'email' => $cook->email]));
    }

    public static function passwordChanged(User $cook): void
    {
        self::send($cook, 'changed', 'Your password was changed', url('/'));
    }

    private static function send(User $cook, string $letter, string $subject, string $link): void
    {
        $to = $cook->email;
        $words = view("letters.$letter", ['name' => $cook->name, 'link' => $link])->render();
        Mail::raw($words, fn (Message $message) => $message->to($to)->subject($subject));
    }
}
