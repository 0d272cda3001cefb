<?php

declare(strict_types=1);

namespace App\Crew;

use App\Models\User;
use App\Words\Words;
use Illuminate\Mail\Message;
use Illuminate\Support\Facades\Mail;
use Throwable;
use Unionbit\Core\Words\Message as Said;

/**
 * Mail in plain text, to a log or over SMTP as it is set. Nothing waits for it and nothing fails by it: what must reach
 * somebody is shown on the screen too.
 */
final class Notice
{
    /** A change of what somebody comes in by, told to the one whom it is about. */
    public static function send(User $user, Said $says): void
    {
        self::mail(
            $user->email,
            Words::of('crew.notice.subject'),
            Words::say($says).
                "\n\n".
                Words::of('crew.notice.not-you', crew: $user->loadMissing('crew')->crew->name),
        );
    }

    /** @return bool whether it was taken */
    public static function mail(string $to, string $subject, string $text): bool
    {
        try {
            Mail::raw($text, static function (Message $mail) use ($to, $subject): void {
                $mail->to($to)->subject($subject);
            });

            return true;
        } catch (Throwable $problem) {
            report($problem);

            return false;
        }
    }
}
