<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a mask must know of its strokes without reading them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('strokes', function (Blueprint $table): void {
            $table->boolean('reveals')->default(true)->comment('toward 1; otherwise it hides');
        });
        // asked for every draft: what lies behind a long stroke in its row is read from the index
        Schema::table('strokes', static fn (Blueprint $table) => $table->index(['scene_id', 'key', 'reveals']));
        DB::statement("update strokes set reveals = coalesce(json_extract(stroke, '$.reveals'), 1)");
    }

    public function down(): void
    {
        Schema::table('strokes', function (Blueprint $table): void {
            $table->dropIndex(['scene_id', 'key', 'reveals']);
            $table->dropColumn('reveals');
        });
    }
};
