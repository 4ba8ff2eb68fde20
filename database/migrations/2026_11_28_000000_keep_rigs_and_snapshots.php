<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rigs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 60)->nullable()->unique()->comment('none for strips that were copied');
            $table->json('document')->comment('as in a rig file');
            $table->longText('picture')->nullable()->comment('a small JPEG in base64: the scene that it is from');
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::create('rig_pictures', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('rig_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->string('picture_id', 64);
            $table->foreign('picture_id')->references('id')->on('pictures');
            $table->unique(['rig_id', 'name']);
        });
        Schema::create('snapshots', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('scene_id')->constrained()->cascadeOnDelete();
            $table->string('key', 40)->comment('its id in the scene');
            $table->string('name', 80);
            $table->json('document')->comment('what a scene may have of its own: strips, sources, stage, ambient, white');
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['scene_id', 'key']);
        });
        Schema::create('tokens', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 60);
            $table->string('hash', 64)->unique()->comment('SHA-256 of the token');
            $table->timestamp('used_at')->nullable();
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::table('exports', function (Blueprint $table): void {
            $table->json('options')->nullable()->comment('size, sharpening, colours, and what is written: a picture, layers, passes, a sheet');
            $table->string('batch', 26)->nullable()->index()->comment('of many that were asked for at once');
        });
    }

    public function down(): void
    {
        Schema::table('exports', function (Blueprint $table): void {
            $table->dropColumn(['options', 'batch']);
        });
        foreach (['tokens', 'snapshots', 'rig_pictures', 'rigs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
