<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('headcounts', function (Blueprint $table): void {
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            // Empty: of the whole account.
            $table->string('function', 20)->charset('ascii')->collation('ascii_bin')->default('');
            $table->char('month', 7)->charset('ascii')->collation('ascii_bin');
            $table->unsignedInteger('heads');
            $table->primary(['account_id', 'function', 'month']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('headcounts');
    }
};
