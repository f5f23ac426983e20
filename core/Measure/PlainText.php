<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Text that shows as it was typed. */
final class PlainText
{
    /**
     * Control characters; marks that turn the direction of what comes after them, so that a name could write over its neighbours.
     * Source: Unicode Standard Annex 9 (explicit directional embeddings, overrides and isolates).
     */
    private const HIDDEN = '/[\x{0000}-\x{0008}\x{000B}\x{000C}\x{000E}-\x{001F}\x{007F}-\x{009F}\x{202A}-\x{202E}\x{2066}-\x{2069}\x{2028}\x{2029}\x{FEFF}]/u';

    /** @param  bool  $lines  whether it may have more than one line */
    public static function isPlain(string $text, bool $lines): bool
    {
        return preg_match(self::HIDDEN, $text) === 0 && ($lines || preg_match('/[\n\r\t]/', $text) === 0);
    }
}
