<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('strokes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('scene_id')->constrained()->cascadeOnDelete();
            $table->string('key', 32)->comment('a hash of what it is; masks and edits name it by this');
            $table->json('stroke')->comment('as in the scene file');
            $table->unique(['scene_id', 'key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('strokes');
    }
};
