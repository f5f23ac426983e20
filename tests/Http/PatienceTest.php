<?php

declare(strict_types=1);

use App\Database\PatientConnection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

// Another writer came first: SQLSTATE 40001, which MariaDB gives for a deadlock and a Galera node for a failed certification.

function beaten(): PDOException
{
    $beaten = new PDOException('SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock');
    (new ReflectionProperty(Exception::class, 'code'))->setValue($beaten, '40001');

    return $beaten;
}

/** A connection of its own, outside the test's transaction. */
function aside(): PatientConnection
{
    config(['database.connections.aside' => config('database.connections.mariadb')]);
    $aside = DB::connection('aside');
    assert($aside instanceof PatientConnection);

    return $aside;
}

it('begins a transaction anew that another writer beat, a few times', function (int $beaten, bool $through) {
    $tries = 0;
    $write = fn () => aside()->transaction(function () use (&$tries, $beaten): int {
        $tries++;
        if ($tries <= $beaten) {
            throw beaten();
        }

        return $tries;
    });
    $through ? expect($write())->toBe($beaten + 1) : expect($write)->toThrow(PDOException::class);
    expect(aside()->transactionLevel())->toBe(0);
})->with([[0, true], [1, true], [4, true], [5, false]]);

it('says a statement of its own again, and none inside a transaction', function (bool $inside, int $tries) {
    $connection = aside();
    $said = 0;
    $run = new ReflectionMethod($connection, 'run');
    $say = function () use ($run, $connection, &$said) {
        return $run->invoke($connection, 'update users set name = name where 1 = 0', [], function () use (&$said): int {
            if (++$said < 3) {
                throw beaten();
            }

            return 7;
        });
    };
    if ($inside) {
        $connection->beginTransaction();
        expect($say)->toThrow(QueryException::class);
        $connection->rollBack();
    } else {
        expect($say())->toBe(7);
    }
    expect($said)->toBe($tries);
})->with([[false, 3], [true, 1]]);

// Galera certifies rows by their primary key.
it('has a primary key in every table', function () {
    $without = DB::select('select t.table_name from information_schema.tables t left join information_schema.table_constraints c '
        ."on c.table_schema = t.table_schema and c.table_name = t.table_name and c.constraint_type = 'PRIMARY KEY' "
        ."where t.table_schema = database() and t.table_type = 'BASE TABLE' and c.constraint_name is null");
    expect($without)->toBe([]);
});
