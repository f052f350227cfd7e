<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** As intake writes them from now on, so that the next file finds the same person. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['contacts', 'relations'] as $table) {
            DB::update("UPDATE `$table` SET profile = CONCAT('https://', profile)
                WHERE profile NOT LIKE '%://%' AND profile REGEXP '^[[:alnum:]-]+([.][[:alnum:]-]+)+(/.*)?$'");
        }
    }
};
