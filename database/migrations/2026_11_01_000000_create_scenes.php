<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('pictures', function (Blueprint $table): void {
            $table->string('id', 64)->primary()->comment('SHA-256 of the file');
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->unsignedTinyInteger('bits');
            $table->boolean('opaque');
            $table->string('format', 8);
            $table->timestamps();
        });
        Schema::create('scenes', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('title', 120);
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->float('white');
            $table->json('unknown');
            $table->unsignedInteger('edits_done')->default(0)->comment('edits that are not undone');
            $table->unsignedInteger('revision')->default(1);
            $table->timestamps();
            $table->softDeletes();
        });
        Schema::create('scene_pictures', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('scene_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->string('picture_id', 64);
            $table->foreign('picture_id')->references('id')->on('pictures');
            $table->unique(['scene_id', 'name']);
        });
        Schema::create('strips', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('scene_id')->constrained()->cascadeOnDelete();
            $table->string('key', 40)->comment('its id in the scene');
            $table->string('group_key', 40)->nullable();
            $table->unsignedInteger('position');
            $table->string('kind', 40);
            $table->string('name', 80);
            $table->json('fields')->comment('mode, fader, values and the like, as in the scene file');
            $table->unsignedInteger('revision');
            $table->unique(['scene_id', 'key']);
        });
        Schema::create('masks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('strip_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('key', 40);
            $table->string('kind', 40);
            $table->json('fields');
        });
        Schema::create('edits', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('scene_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('label', 120);
            $table->json('before');
            $table->json('after');
            $table->timestamp('created_at')->useCurrent();
            $table->unique(['scene_id', 'position']);
        });
        Schema::create('exports', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('scene_id')->constrained()->cascadeOnDelete();
            $table->string('format', 8);
            $table->unsignedTinyInteger('bits');
            $table->unsignedTinyInteger('quality')->nullable();
            $table->string('state', 12)->comment('waiting, running, done, failed, cancelled');
            $table->float('progress')->default(0);
            $table->json('scene')->comment('the scene as it was when the export was asked for');
            $table->string('name', 160);
            $table->text('problem')->nullable();
            $table->unsignedBigInteger('bytes')->nullable();
            $table->unsignedBigInteger('clipped')->nullable();
            $table->timestamps();
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
    }

    public function down(): void
    {
        foreach (['failed_jobs', 'jobs', 'exports', 'edits', 'masks', 'strips', 'scene_pictures', 'scenes', 'pictures'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
