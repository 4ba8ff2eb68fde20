<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Strokes let in or hold back, here as everywhere else. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('strokes', static fn (Blueprint $table) => $table->renameColumn('reveals', 'lets_in'));
    }

    public function down(): void
    {
        Schema::table('strokes', static fn (Blueprint $table) => $table->renameColumn('lets_in', 'reveals'));
    }
};
