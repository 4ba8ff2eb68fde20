<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Http\UploadedFile;
use Tests\Support\PictureFile;

uses(RefreshDatabase::class);

/** A disc of a colour on black. */
function tipPicture(string $colour, string $name = 'Old leaf.png'): UploadedFile
{
    $draw = new ImagickDraw;
    $draw->setFillColor($colour);
    $draw->circle(24, 24, 24, 10);
    $image = new Imagick;
    $image->newImage(48, 48, new ImagickPixel('black'), 'png');
    $image->drawImage($draw);

    return PictureFile::of($name, $image->getImageBlob());
}

it('makes a brush tip of a picture for every scene, and lets it go', function (): void {
    $tips = $this->post('/api/tips', ['file' => tipPicture('white')], ['Accept' => 'application/json'])->assertOk()->json('tips');
    expect($tips)->toHaveCount(1)->and($tips[0]['name'])->toBe('Old leaf')->and(strlen((string) base64_decode($tips[0]['grid'], true)))->toBe(1024)->and(ord(base64_decode($tips[0]['grid'])[16 * 32 + 16]))->toBe(255);
    $this->post('/api/tips', ['file' => tipPicture('white')], ['Accept' => 'application/json'])->assertStatus(422)->assertJsonPath('field', 'name');
    expect($this->getJson('/api/tips')->json('tips'))->toHaveCount(1)->and($this->deleteJson("/api/tips/{$tips[0]['id']}")->assertOk()->json('tips'))->toBe([]);
});

it('takes no black picture, and nothing that is no picture', function (): void {
    $this->post('/api/tips', ['file' => tipPicture('black')], ['Accept' => 'application/json'])->assertStatus(422)->assertJsonPath('message', static fn (string $message): bool => str_contains($message, 'black throughout'));
    $this->post('/api/tips', ['file' => PictureFile::of('tip.png', 'no picture at all')], ['Accept' => 'application/json'])->assertStatus(422);
    $this->postJson('/api/tips', ['intake' => str_repeat('a', 32)])->assertStatus(422);
    expect($this->getJson('/api/tips')->json('tips'))->toBe([]);
});
