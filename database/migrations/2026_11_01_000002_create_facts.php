<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('intakes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 12)->charset('ascii')->collation('ascii_bin');
            $table->string('name');
            $table->string('path');
            $table->char('checksum', 40)->charset('ascii')->collation('ascii_bin')->index();
            $table->unsignedBigInteger('bytes');
            $table->json('format');
            $table->json('mapping')->nullable();
            $table->string('source', 80)->nullable();
            $table->string('state', 12)->charset('ascii')->collation('ascii_bin')->index();
            $table->unsignedBigInteger('offset')->default(0);
            $table->unsignedInteger('line')->default(0);
            $table->unsignedInteger('rows')->default(0);
            $table->unsignedInteger('created')->default(0);
            $table->unsignedInteger('updated')->default(0);
            $table->unsignedInteger('unchanged')->default(0);
            $table->unsignedInteger('rejected')->default(0);
            $table->string('message', 500)->nullable();
            $table->timestamp('started_at')->nullable();
            $table->timestamp('finished_at')->nullable();
            $table->timestamps();
        });
        Schema::create('intake_rejections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('intake_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('line');
            $table->string('reason', 500);
            $table->json('row');
        });
        Schema::create('intake_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('intake_id')->constrained()->cascadeOnDelete();
            $table->string('record', 20)->charset('ascii')->collation('ascii_bin');
            $table->unsignedBigInteger('record_id');
            $table->json('before')->nullable();
            $table->json('after')->nullable();
        });
        Schema::create('industry_labels', function (Blueprint $table): void {
            $table->id();
            $table->string('label', 190)->unique();
            $table->string('code', 4)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->string('suggested', 4)->nullable();
            $table->foreignId('decided_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
        });

        Schema::create('accounts', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 190)->index();
            $table->string('domain', 190)->charset('ascii')->collation('ascii_bin')->nullable()->unique();
            $table->string('status', 12)->charset('ascii')->collation('ascii_bin')->nullable();
            $table->foreignId('owner_id')->nullable()->constrained('users')->nullOnDelete();
            $table->foreignId('parent_id')->nullable()->constrained('accounts')->nullOnDelete();
            $table->text('description')->nullable();
            $table->string('keywords', 1000)->nullable();
            $table->unsignedSmallInteger('founded')->nullable();
            $table->unsignedInteger('headcount')->nullable();
            $table->string('headcount_given', 40)->nullable();
            $table->double('growth')->nullable();
            $table->double('revenue')->nullable();
            $table->double('revenue_amount')->nullable();
            $table->char('revenue_currency', 3)->nullable();
            $table->string('revenue_given', 40)->nullable();
            $table->unsignedSmallInteger('sites')->nullable();
            $table->string('source', 80)->nullable();
            $table->double('confidence')->default(1);
            $table->dateTime('seen_at')->nullable();
            $table->boolean('stale')->default(true)->index();
            $table->timestamps();
        });
        Schema::create('account_industry', function (Blueprint $table): void {
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->unsignedTinyInteger('position');
            $table->string('code', 4)->charset('ascii')->collation('ascii_bin')->nullable()->index();
            $table->foreignId('label_id')->nullable()->constrained('industry_labels')->nullOnDelete();
            $table->primary(['account_id', 'position']);
        });
        Schema::create('places', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->boolean('headquarters');
            $table->string('city', 100)->nullable();
            $table->string('region', 80)->nullable();
            $table->string('postal_code', 12)->nullable();
            $table->char('country', 2)->nullable();
            $table->double('latitude')->nullable();
            $table->double('longitude')->nullable();
            $table->index(['account_id', 'headquarters']);
        });
        Schema::create('technologies', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 100)->unique();
        });
        Schema::create('account_technology', function (Blueprint $table): void {
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('technology_id')->constrained()->cascadeOnDelete();
            $table->primary(['account_id', 'technology_id']);
        });
        Schema::create('customer_periods', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->date('since')->nullable();
            $table->date('until')->nullable();
            $table->boolean('best')->default(false);
        });
        Schema::create('attributes', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 100)->unique();
            $table->double('confidence')->default(1);
        });
        Schema::create('account_attribute', function (Blueprint $table): void {
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('attribute_id')->constrained()->cascadeOnDelete();
            $table->string('value', 500);
            $table->primary(['account_id', 'attribute_id']);
        });

        Schema::create('contacts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->string('first_name', 100);
            $table->string('last_name', 100);
            $table->string('title', 190)->nullable();
            $table->text('about')->nullable();
            $table->string('interests', 500)->nullable();
            $table->string('city', 100)->nullable();
            $table->char('country', 2)->nullable();
            $table->string('profile', 190)->nullable()->unique();
            $table->string('source', 80)->nullable();
            $table->double('confidence')->default(1);
            $table->dateTime('seen_at')->nullable();
            $table->timestamps();
            $table->index(['account_id', 'last_name']);
        });
        Schema::create('channels', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('contact_id')->constrained()->cascadeOnDelete();
            $table->string('type', 12)->charset('ascii')->collation('ascii_bin');
            $table->string('value', 190)->index();
            $table->string('state', 12)->charset('ascii')->collation('ascii_bin')->default('unknown');
            $table->double('chance')->nullable();
            $table->dateTime('active_at')->nullable();
            $table->unique(['contact_id', 'type', 'value']);
        });
        Schema::create('posts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('contact_id')->constrained()->cascadeOnDelete();
            $table->foreignId('account_id')->nullable()->constrained()->nullOnDelete();
            $table->string('company', 190)->nullable();
            $table->string('title', 190)->nullable();
            $table->date('since')->nullable();
            $table->date('until')->nullable();
        });

        Schema::create('signals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('account_id')->constrained()->cascadeOnDelete();
            $table->foreignId('contact_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 20)->charset('ascii')->collation('ascii_bin');
            $table->string('title', 255);
            $table->dateTime('occurred_at');
            $table->dateTime('since')->nullable();
            $table->double('strength');
            $table->boolean('strength_given')->default(false);
            $table->double('confidence')->default(1);
            $table->json('facts')->nullable();
            $table->string('source', 80)->nullable();
            $table->text('quote')->nullable();
            $table->string('link', 500)->nullable();
            $table->dateTime('seen_at')->nullable();
            $table->char('fingerprint', 40)->charset('ascii')->collation('ascii_bin')->unique();
            $table->timestamps();
            $table->index(['account_id', 'kind', 'occurred_at', 'strength', 'confidence', 'since'], 'signals_reading');
        });
    }

    public function down(): void
    {
        foreach ([
            'signals', 'posts', 'channels', 'contacts', 'account_attribute', 'attributes', 'customer_periods',
            'account_technology',
            'technologies', 'places', 'account_industry', 'accounts', 'industry_labels', 'intake_changes',
            'intake_rejections', 'intakes',
        ] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
