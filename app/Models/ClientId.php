<?php

declare(strict_types=1);

namespace App\Models;

/**
 * An id that a device made: a UUID of the variant that all of today's are. Source: RFC 9562, 4.1. The database takes no other with
 * every version.
 */
final class ClientId
{
    /** As an address holds it. */
    public const PATTERN = '[0-9a-fA-F]{8}-[0-9a-fA-F]{4}-[0-9a-fA-F]{4}-[89abAB][0-9a-fA-F]{3}-[0-9a-fA-F]{12}';

    public const RULE = 'regex:/^'.self::PATTERN.'$/D';
}
