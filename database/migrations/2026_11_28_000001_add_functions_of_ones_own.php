<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** What a title says has more functions than thirty-one bits have room for. */
    private const READ = ['contacts', 'positions', 'stations', 'title_lessons'];

    public function up(): void
    {
        Schema::create('own_functions', function (Blueprint $table): void {
            $table->id();
            $table->string('slot', 10)->charset('ascii')->collation('ascii_bin')->unique();
            $table->string('name', 40)->unique();
            $table->text('words');
            $table->timestamps();
        });
        $this->resize('BIGINT');
    }

    public function down(): void
    {
        Schema::dropIfExists('own_functions');
        $this->resize('INT');
    }

    private function resize(string $type): void
    {
        foreach (self::READ as $table) {
            DB::statement("ALTER TABLE $table MODIFY reading $type UNSIGNED NOT NULL DEFAULT 0");
        }
    }
};
