<?php

declare(strict_types=1);

use App\Http\Passphrase;
use App\Serve\Door;

/* Who is let in, and what browsers are told of it. */

it('tells browsers to keep to its own scripts and styles, in no frame', function (string $path): void {
    $response = $this->get($path);
    $policy = $response->headers->get('Content-Security-Policy');
    expect($policy)->toContain("script-src 'self'")->toContain("frame-ancestors 'none'")->not->toContain("script-src 'self' 'unsafe-inline'");
    $response->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('X-Frame-Options', 'DENY')->assertHeaderMissing('X-Powered-By');
})->with(['/', '/api/scenes', '/api/scenes/01arz3ndektsv4rrffq69g5fav', '/nothing']);

it('has no script in its page', function (): void {
    expect($this->get('/')->getContent())->not->toMatch('#<script(?![^>]*\bsrc=)[^>]*>#');
});

it('turns away what pages of other origins ask for, on every route', function (string $method, string $path): void {
    $path = str_replace('ID', aScene()['id'], $path);
    foreach ([['Origin' => 'http://evil.example'], ['Origin' => 'null'], ['Origin' => 'http://127.0.0.1:9999'], ['Sec-Fetch-Site' => 'cross-site'], ['Sec-Fetch-Site' => 'same-site', 'Sec-Fetch-Mode' => 'no-cors']] as $headers) {
        $this->json($method, $path, [], $headers)->assertForbidden();
    }
})->with([['GET', '/'], ['GET', '/api/scenes'], ['POST', '/api/scenes/ID/picture'], ['POST', '/api/scenes/ID/contributions'], ['GET', '/api/scenes/ID/thumbnail'], ['GET', '/api/sphere'], ['DELETE', '/api/scenes/ID'], ['POST', '/passphrase']]);

it('follows links from elsewhere, and answers its own pages', function (): void {
    $this->get('/', ['Sec-Fetch-Site' => 'cross-site', 'Sec-Fetch-Mode' => 'navigate', 'Sec-Fetch-Dest' => 'document'])->assertOk();
    $this->get('/', ['Sec-Fetch-Site' => 'cross-site', 'Sec-Fetch-Mode' => 'navigate', 'Sec-Fetch-Dest' => 'iframe'])->assertForbidden();
    $this->get('http://127.0.0.1:8123/api/scenes', ['Origin' => 'http://127.0.0.1:8123', 'Sec-Fetch-Site' => 'same-origin'])->assertOk();
});

it('tells the views of one browser from those of another, and from its own', function (): void {
    $scene = aScene();
    $asked = fn (string $view, string $cookie = ''): string => App\Http\Requests\LookAt::create("/api/scenes/{$scene['id']}/picture", 'POST', ['view' => $view], ['aumbrel_page' => $cookie])
        ->view(App\Models\Scene::query()->findOrFail($scene['id']));
    expect($asked('v', 'one'))->toBe($asked('v', 'one'))->not->toBe($asked('v', 'two'))
        ->and($asked("thumbnail {$scene['id']}"))->toStartWith('look ')->and($asked('once'))->toStartWith('look ');
    // a browser gets its name with the page
    expect($this->get('/')->headers->getCookies()[0]->getName())->toBeIn(['aumbrel_page', 'XSRF-TOKEN', 'aumbrel'])
        ->and(array_map(fn ($cookie): string => $cookie->getName(), $this->get('/')->headers->getCookies()))->toContain('aumbrel_page');
});

function withPassphrase(string $passphrase = 'heron lantern boardwalk'): void
{
    config(['aumbrel.passphrase' => $passphrase]);
}

it('asks for the passphrase before anything else', function (): void {
    $scene = aScene();
    withPassphrase();
    $this->get('/')->assertRedirect('/passphrase');
    $this->get('/passphrase')->assertOk()->assertSee('Passphrase');
    $this->getJson('/api/scenes')->assertUnauthorized()->assertJsonStructure(['message']);
    $this->postJson("/api/scenes/{$scene['id']}/picture")->assertUnauthorized();
    $this->getJson('/api/health')->assertOk();
    $cookie = $this->post('/passphrase', ['passphrase' => 'heron lantern boardwalk '])->assertRedirect('/')->getCookie(Passphrase::COOKIE, false);
    expect($cookie->isHttpOnly())->toBeTrue()->and($cookie->getSameSite())->toBe('strict')->and($cookie->getExpiresTime())->toBe(0);
    $this->withCredentials()->withUnencryptedCookie(Passphrase::COOKIE, $cookie->getValue())->getJson('/api/scenes')->assertOk();
    // nobody makes one up, and a new passphrase makes it worthless
    $this->withCredentials()->withUnencryptedCookie(Passphrase::COOKIE, 'abc.def')->getJson('/api/scenes')->assertUnauthorized();
    withPassphrase('another');
    $this->withCredentials()->withUnencryptedCookie(Passphrase::COOKIE, $cookie->getValue())->getJson('/api/scenes')->assertUnauthorized();
});

it('lets nobody guess for long', function (): void {
    withPassphrase();
    foreach (range(1, 5) as $try) {
        $this->post('/passphrase', ['passphrase' => "guess {$try}"])->assertForbidden()->assertSee('That is not the passphrase.');
    }
    $this->post('/passphrase', ['passphrase' => 'heron lantern boardwalk'])->assertTooManyRequests()->assertHeader('Retry-After');
    $this->travel(61)->seconds();
    $this->post('/passphrase', ['passphrase' => 'heron lantern boardwalk'])->assertRedirect('/');
});

it('asks nothing where only this machine can reach it', function (): void {
    $this->get('/')->assertOk();
    $this->get('/passphrase')->assertRedirect('/');
});

it('knows under which addresses it can be reached', function (string $host, bool $isOpen, string $url, string $known): void {
    $door = new Door($host, 8080);
    expect($door->isOpenToOthers())->toBe($isOpen)->and($door->url())->toMatch($url)->and($door->hosts())->toContain($known)->toContain('127.0.0.1');
})->with([
    ['127.0.0.1', false, '#^http://127\.0\.0\.1:8080$#', 'localhost'], ['localhost', false, '#^http://localhost:8080$#', 'localhost'], ['::1', false, '#^http://\[::1\]:8080$#', '[::1]'],
    ['192.168.7.9', true, '#^http://192\.168\.7\.9:8080$#', '192.168.7.9'], ['0.0.0.0', true, '#^http://(?!0\.)[\d.]+:8080$#', strtolower((string) gethostname())],
]);

it('compresses longer answers for whoever takes that', function (): void {
    $scene = addSpot(aScene());
    $plain = $this->getJson("/api/scenes/{$scene['id']}")->assertHeaderMissing('Content-Encoding')->getContent();
    $packed = $this->getJson("/api/scenes/{$scene['id']}", ['Accept-Encoding' => 'gzip'])->assertHeader('Content-Encoding', 'gzip')->getContent();
    expect(gzdecode($packed))->toBe($plain)->and(strlen($packed))->toBeLessThan(strlen($plain) * 0.7);
});
