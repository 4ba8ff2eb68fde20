<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** On the wall scenes can lie together in folders. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('scenes', static fn (Blueprint $table) => $table->string('folder', 80)->nullable());
    }

    public function down(): void
    {
        Schema::table('scenes', static fn (Blueprint $table) => $table->dropColumn('folder'));
    }
};
