<?php

declare(strict_types=1);

namespace Tests\Support;

use Symfony\Component\Yaml\Yaml;

/**
 * Requests over every address of docs/openapi.yaml, the same for a seed: bodies and queries made from their schemas, sound at first, then
 * spoilt in some places; lists where one value is due; addresses of things that are there, that are not, and of nonsense.
 *
 * @phpstan-type Asked array{method: string, path: string, body: string|null, type: string, edition: string|null}
 */
final class ContractFuzz
{
    private const DEEPEST = 7;

    /** Values that mean something here, by the name of the member. */
    private const KNOWN = [
        'cut' => ['duck', 'chicken', 'pork-shoulder', 'beef-rib', 'lamb-leg', 'nonsense'], 'cooker' => ['kettle', 'open-spit', 'oven', 'rest', 'fridge'],
        'kind' => ['on', 'pulled', 'carved', 'stage', 'set', 'note', 'kettle', 'spit'], 'place' => ['core', 'thigh', 'cooker'],
        'taste' => ['done', 'firm', 'pink'], 'fuel' => ['lump', 'briquettes'], 'time_zone' => ['Europe/Paris', 'UTC', 'Mars/Base'],
        'format' => ['diatherm.roast', 'diatherm.cooker', 'diatherm.kitchen'], 'turn' => ['guests_late', 'behind', 'rain', 'one_more'],
        'mass_kg' => [2.2, 0.4, 12.0], 'pieces' => [1, 2, 12], 'people' => [4, 60], 'cooker_c' => [110, 180, 360], 'email' => ['ada@weir.example'],
        'password' => ['ember and straw'], 'minutes' => [1, 20, 600], 'dish' => [0, 1, 11], 'stage' => [0, 1], 'celsius' => [5, 63, 180, 451],
        'side' => ['potatoes', 'gravy'], 'do' => ['baste', 'turn', 'own'],
    ];

    private readonly Fuzz $fuzz;

    /** @var array<string, mixed> */
    private readonly array $contract;

    /** @var list<array{string, string, array<string, mixed>}> method, path, operation */
    private readonly array $operations;

    /**
     * @param  array<string, list<string>>  $ids  of what is there, by the name of the place in an address
     * @param  list<string>  $without  addresses that are left alone, such as the one that deletes the account
     */
    public function __construct(int $seed, private readonly array $ids, array $without)
    {
        $this->fuzz = new Fuzz($seed);
        $this->contract = Yaml::parseFile(__DIR__.'/../../docs/openapi.yaml');
        $operations = [];
        foreach ($this->contract['paths'] as $path => $item) {
            foreach (array_intersect_key($item, ['get' => 0, 'post' => 0, 'put' => 0, 'patch' => 0, 'delete' => 0]) as $method => $operation) {
                if (! in_array(strtoupper($method).' '.$path, $without, true)) {
                    $operations[] = [strtoupper($method), $path, $operation + ['shared' => $item['parameters'] ?? []]];
                }
            }
        }
        $this->operations = $operations;
    }

    /** @return list<string> method and path of each operation */
    public function operations(): array
    {
        return array_map(fn (array $one): string => "$one[0] $one[1]", $this->operations);
    }

    /** @return Asked one of that operation, by its number in the list; any for null */
    public function ask(?int $operation = null): array
    {
        [$method, $path, $of] = $this->operations[$operation ?? mt_rand(0, count($this->operations) - 1)];
        $parameters = array_map($this->resolved(...), [...$of['shared'], ...($of['parameters'] ?? [])]);
        $query = [];
        foreach ($parameters as $parameter) {
            if ($parameter['in'] === 'query' && mt_rand(0, 4) > 0) {
                $query[$parameter['name']] = $this->sample($parameter['schema'], $parameter['name'], 1);
            }
        }
        $query = $query === [] || mt_rand(0, 1) === 0 ? $query : (array) json_decode($this->fuzz->body($query), true);
        $address = (string) preg_replace_callback('/\{(\w+)\}/', fn (array $place): string => rawurlencode($this->id($place[1])), $path);
        $content = $this->resolved($of['requestBody'] ?? [])['content'] ?? [];
        $type = (string) (array_key_first($content) ?? 'application/json');
        $sound = $content === [] ? null : $this->sample($content[$type]['schema'] ?? [], '', 0);

        return [
            'method' => $method,
            'path' => $address.($query === [] ? '' : '?'.http_build_query($query)),
            'body' => match (true) {
                $content === [] => null,
                is_array($sound) => mt_rand(0, 3) === 0 ? (string) json_encode($sound, JSON_PARTIAL_OUTPUT_ON_ERROR) : $this->fuzz->body($sound),
                default => ["time,dish,place,celsius\n2031-10-04T18:00:00Z,0,core,40\n", ',,,', "\xff", str_repeat('a,', 999)][mt_rand(0, 3)],
            },
            'type' => $type,
            'edition' => [null, '*', '"old"', '"', 'W/"a", "b"'][mt_rand(0, 4)],
        ];
    }

    private function id(string $place): string
    {
        $there = $this->ids[$place] ?? [];

        return $there !== [] && mt_rand(0, 5) > 0
            ? $there[mt_rand(0, count($there) - 1)]
            : ['1', '01arz3ndektsv4rrffq69g5fav', '00000000-0000-4000-8000-000000000000', '..', "a\u{0}b", '🔥', str_repeat('a', 2000), '%'][mt_rand(0, 7)];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed> what it refers to
     */
    private function resolved(array $schema): array
    {
        while (isset($schema['$ref'])) {
            $at = $this->contract;
            foreach (explode('/', substr($schema['$ref'], 2)) as $name) {
                $at = $at[$name];
            }
            $schema = $at;
        }

        return $schema;
    }

    /** @param  array<string, mixed>  $schema */
    private function sample(array $schema, string $name, int $depth): mixed
    {
        $schema = $this->resolved($schema);
        if (isset($schema['allOf'])) {
            return array_merge(...array_map(fn (array $part): array => (array) $this->sample($part, $name, $depth), $schema['allOf']));
        }
        foreach (['anyOf', 'oneOf'] as $choice) {
            if (isset($schema[$choice])) {
                return $this->sample($schema[$choice][mt_rand(0, count($schema[$choice]) - 1)], $name, $depth);
            }
        }
        $types = (array) ($schema['type'] ?? 'object');
        $type = $types[mt_rand(0, count($types) - 1)];
        $known = self::KNOWN[$name] ?? [];

        return match (true) {
            isset($schema['enum']) => $schema['enum'][mt_rand(0, count($schema['enum']) - 1)],
            $known !== [] && ! in_array($type, ['object', 'array'], true) && mt_rand(0, 9) > 0 => $known[mt_rand(0, count($known) - 1)],
            $type === 'null' => null,
            $type === 'boolean' => mt_rand(0, 1) === 1,
            $type === 'integer' => mt_rand(0, 12),
            $type === 'number' => mt_rand(0, 2000) / 10.0,
            $type === 'string' => $this->text($schema, $name),
            $type === 'array' => $depth > self::DEEPEST ? [] : array_map(
                fn (): mixed => $this->sample($schema['items'] ?? [], $name, $depth + 1), range(1, max(1, ($schema['minItems'] ?? 0) + mt_rand(0, 2))),
            ),
            default => $this->members($schema, $depth),
        };
    }

    /** @param  array<string, mixed>  $schema */
    private function text(array $schema, string $name): string
    {
        if (($schema['format'] ?? '') === 'uuid') {
            return vsprintf('%08x-0000-4000-8000-%012x', [mt_rand(), mt_rand()]);
        }
        if (in_array($name, ['at', 'serve_at', 'from', 'until'], true)) {
            return gmdate('Y-m-d\TH:i:s\Z', time() + mt_rand(-40_000, 40_000) + ($name === 'serve_at' ? 40_000 : 0));
        }

        return ['', 'Supper', 'd0.on', 'a'.str_repeat('b', mt_rand(0, 90)), '18:45', 'guests_late'][mt_rand(0, 5)];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function members(array $schema, int $depth): array
    {
        $members = [];
        foreach ($schema['properties'] ?? [] as $name => $of) {
            if ($depth <= self::DEEPEST && (in_array($name, $schema['required'] ?? [], true) || mt_rand(0, 2) === 0)) {
                $members[$name] = $this->sample($of, (string) $name, $depth + 1);
            }
        }

        return $members;
    }
}
