<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('gestures', function (Blueprint $table): void {
            $table->string('key', 64)->primary()->comment('names a gesture that was written, so that it is written once however often it comes');
            $table->foreignUlid('scene_id')->constrained()->cascadeOnDelete();
            $table->timestamp('created_at')->useCurrent();
        });
        Schema::table('scenes', function (Blueprint $table): void {
            $table->unsignedInteger('order_revision')->default(1)->comment('the revision at which the order of the strips last changed');
        });
        Schema::table('exports', function (Blueprint $table): void {
            $table->unsignedInteger('process_group')->nullable()->comment('of the processes that render it');
            $table->unsignedTinyInteger('starts')->default(0)->comment('how often it was begun');
        });
    }

    public function down(): void
    {
        Schema::table('exports', fn (Blueprint $table) => $table->dropColumn(['process_group', 'starts']));
        Schema::table('scenes', fn (Blueprint $table) => $table->dropColumn('order_revision'));
        Schema::dropIfExists('gestures');
    }
};
