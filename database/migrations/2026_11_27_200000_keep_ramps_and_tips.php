<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('ramps', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 60)->unique()->comment('of a ramp that is kept for other scenes');
            $table->json('stops')->comment('as in a scene file: offset, colour, opacity, midpoint, smooth');
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::create('tips', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 60)->unique()->comment('of a brush tip that was made of a picture');
            $table->text('grid')->comment('32 by 32 bytes of grey in base64');
            $table->timestamp('created_at')->useCurrent();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('tips');
        Schema::dropIfExists('ramps');
    }
};
