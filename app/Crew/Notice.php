<?php

declare(strict_types=1);

namespace App\Crew;

use App\Models\Crew\User;
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
    /**
     * A change of what somebody comes in by, told to the one whom it is about: after the answer, and never while the
     * database is held for a write, however long a mail server takes.
     */
    public static function send(User $user, Said $says): void
    {
        $to = $user->email;
        $subject = Words::of('crew.notice.subject');
        $crew = $user->loadMissing('crew')->crew->name;
        $text = Words::say($says)."\n\n".Words::of('crew.notice.not-you', crew: $crew);
        defer(static fn (): bool => self::mail($to, $subject, $text))->always();
    }

    /** Somebody asked for a new password where no mail goes out: whoever runs the server reads it. */
    public static function asked(User $user): void
    {
        self::mail($user->email, Words::of('crew.mail.subject'), Words::of('crew.mail.asked', email: $user->email));
    }

    /** Whether mail goes out of this server, and not into a log of it. */
    public static function goesOut(): bool
    {
        return config('mail.default') !== 'log';
    }

    /**
     * @param  string  $link  what the text ends with: it lets somebody in, and stands in no log
     * @return bool whether it was taken
     */
    public static function mail(string $to, string $subject, string $text, string $link = ''): bool
    {
        $shown = config('mail.default') === 'log' ? Words::of('crew.mail.no-link', email: $to) : $link;
        $text .= $link === '' ? '' : "\n\n{$shown}";
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
