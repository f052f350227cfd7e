<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The best contacts of an offer stand in the order in which they are shown. */
return new class extends Migration
{
    public function up(): void
    {
        DB::statement(
            'ALTER TABLE standings ADD INDEX standings_best_contact (offer_id, best_contact DESC, account_id)',
        );
    }

    public function down(): void
    {
        DB::statement('ALTER TABLE standings DROP INDEX standings_best_contact');
    }
};
