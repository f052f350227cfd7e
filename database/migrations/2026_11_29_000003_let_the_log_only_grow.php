<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What stands in the log stays as it is, whoever asks; but for erasing somebody, and for bringing an archive in. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['UPDATE', 'DELETE'] as $deed) {
            DB::unprepared('CREATE TRIGGER log_no_'.strtolower($deed)." BEFORE $deed ON activity_log FOR EACH ROW "
                ."BEGIN IF COALESCE(@luftig_erases, 0) <> 1 THEN SIGNAL SQLSTATE '45000' "
                ."SET MESSAGE_TEXT = 'The log only grows.'; END IF; END");
        }
        DB::statement('CREATE INDEX log_by_time ON activity_log (created_at, id)');
    }

    public function down(): void
    {
        foreach (['update', 'delete'] as $deed) {
            DB::unprepared("DROP TRIGGER log_no_$deed");
        }
        DB::statement('DROP INDEX log_by_time ON activity_log');
    }
};
