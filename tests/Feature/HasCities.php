<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Gazetteer;
use PDO;

/** All cities of the world, brought once for the tests of a class and gone after them. */
trait HasCities
{
    public function beginDatabaseTransaction(): void
    {
        Gazetteer::load();
        parent::beginDatabaseTransaction();
    }

    public static function tearDownAfterClass(): void
    {
        $server = new PDO(
            'mysql:host=127.0.0.1;port='.getenv('DB_PORT').';dbname='.getenv('DB_DATABASE'),
            'luftig',
            '',
        );
        $server->exec('DELETE FROM cities');
        parent::tearDownAfterClass();
    }
}
