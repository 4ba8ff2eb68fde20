<?php

declare(strict_types=1);

/*
 * One hand that goes on editing whatever happens: client.php URL SCENE STRIP SECONDS OUT
 *
 * Changes the name of its strip to 1, 2, 3 and so on. A gesture that is not acknowledged is sent again under the same name
 * until it is, as the interface does. Writes what was acknowledged, and every answer that should not be.
 */
[, $url, $scene, $strip, $seconds, $out] = $argv;
$curl = curl_init();
$jar = tempnam(sys_get_temp_dir(), 'jar');
curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar, CURLOPT_TIMEOUT => 20, CURLOPT_CONNECTTIMEOUT => 2]);
$token = '';
$ask = static function (string $method, string $path, ?array $body = null, string $key = '') use ($curl, $url, &$token): array {
    curl_setopt_array($curl, [
        CURLOPT_URL => "{$url}/api/{$path}", CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
        CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: {$token}", ...($key === '' ? [] : ["Idempotency-Key: {$key}"])],
    ]);
    $reply = curl_exec($curl);
    foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) as $cookie) {
        $parts = explode("\t", $cookie);
        $token = $parts[5] === 'XSRF-TOKEN' ? urldecode($parts[6]) : $token;
    }

    return [(int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE), json_decode((string) $reply, true), (string) $reply];
};
$revision = null;
$seen = static function (?array $reply) use ($strip, &$revision): void {
    foreach ($reply['strips'] ?? [] as $one) {
        $revision = $one['id'] === $strip ? $one['revision'] : $revision;
    }
};
$said = ['acknowledged' => 0, 'tries' => 0, 'odd' => []];
for ($until = microtime(true) + (float) $seconds, $number = 1; microtime(true) < $until; $number++) {
    $key = bin2hex(random_bytes(12));
    for ($isWritten = false; ! $isWritten && microtime(true) < $until + 60;) {
        if ($revision === null) {
            [$status, $reply] = $ask('GET', "scenes/{$scene}");
            $seen($status === 200 ? $reply : null);
            usleep($revision === null ? 100_000 : 0);

            continue;
        }
        $said['tries']++;
        [$status, $reply, $text] = $ask('POST', "scenes/{$scene}/gestures/change-strip", ['strip' => $strip, 'name' => (string) $number, 'revision' => $revision], $key);
        if ($status === 200) {
            $isWritten = is_array($reply);
            $seen($reply);
        } elseif ($status === 419 || $token === '') {
            $ask('GET', 'health');
        } else {
            // the line broke, the server is starting, or it says that the database is held
            if (! in_array($status, [0, 503], true)) {
                $said['odd'][] = "{$status} ".substr($text, 0, 200);
            }
            usleep(100_000);
        }
    }
    $said['acknowledged'] += $isWritten ? 1 : 0;
    file_put_contents($out, json_encode($said));
}
unlink($jar);
