<?php

declare(strict_types=1);

namespace Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Yaml;

/** Holds answers against docs/openapi.yaml. */
final class Contract
{
    private static ?Validator $validator = null;

    /** @return list<string> what is wrong with $json as an answer of that schema; empty when nothing is */
    public static function breaches(string $json, string $schema): array
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            $contract = Yaml::parseFile(__DIR__.'/../../docs/openapi.yaml');
            $document = json_decode(
                (string) json_encode(
                    ['$id' => 'urn:diatherm:openapi', 'components' => ['schemas' => $contract['components']['schemas']]],
                    JSON_THROW_ON_ERROR,
                ),
            );
            self::$validator->resolver()?->registerRaw($document);
        }
        $result = self::$validator->validate(json_decode($json), (object) ['$ref' => "urn:diatherm:openapi#/components/schemas/$schema"]);
        $error = $result->error();

        return $error === null
            ? []
            : array_map(
                fn (string $path, array $messages): string => "$path: ".implode(' ', $messages),
                array_keys($found = (new ErrorFormatter)->format($error)),
                $found,
            );
    }

    /** @return list<string> the same for each of a list */
    public static function breachesInList(string $json, string $schema): array
    {
        return array_merge(...array_map(
            fn (mixed $one): array => self::breaches((string) json_encode($one), $schema),
            (array) json_decode($json, flags: JSON_THROW_ON_ERROR),
        ));
    }

    /** @return list<string> method and path of every operation */
    public static function operations(): array
    {
        $operations = [];
        foreach (Yaml::parseFile(__DIR__.'/../../docs/openapi.yaml')['paths'] as $path => $item) {
            foreach (array_intersect(array_keys($item), ['get', 'post', 'put', 'patch', 'delete']) as $method) {
                $operations[] = strtoupper($method).' '.$path;
            }
        }
        sort($operations);

        return $operations;
    }
}
