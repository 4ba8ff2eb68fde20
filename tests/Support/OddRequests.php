<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * Requests that nobody should send: numbers that are none, lists for objects, words for numbers, keys of digits, values
 * that are far too long. The same ones for the same seed; every one must be answered without a fault of the server's own.
 */
final class OddRequests
{
    /** JSON texts, since some of these cannot be written from PHP values. */
    private const VALUES = [
        '1e999', '-1e999', 'null', 'true', '""', '"x"', '[]', '{}', '[[]]', '[null]', '{"0":1}', '{"1":{}}', '-1', '0', '1e308', '1.5', '99999999999999999999', '"1e999"', '"NaN"', '"12,000"', '[1e999,0]', '["a","b"]', '{"a":{"b":{"c":[1e999]}}}', '"\u0000"', '"\ud83d\ude00"', '-0.0', '[1,2,3,4,5]', '{"":""}', '{"a.b":1}', '{"*":1}',
    ];

    private const FIELDS = ['changes', 'window', 'scale', 'number', 'view', 'draft', 'below', 'solo', 'mask', 'tint', 'before', 'revision', 'revisions', 'values', 'masks', 'name', 'mode', 'level', 'amount', 'muted', 'confinedTo', 'kind', 'centre', 'span', 'on', 'join', 'above', 'strips', 'reading', 'mend', 'title', 'white', 'format', 'bits', 'quality', 'label'];

    private int $state;

    /** @param  array<string, mixed>  $scene  as the interface is told of it */
    public function __construct(private readonly array $scene, int $seed = 1)
    {
        $this->state = $seed;
    }

    /** @return array{string, string, string} method, path and body */
    public function next(): array
    {
        [$method, $path, $body] = $this->pick($this->plain());
        $strip = $this->pick($this->scene['strips'])['id'];
        $path = str_replace('STRIP', $this->below(12) === 0 ? $this->pick(['0', '-1', 'gone', '%00', str_repeat('x', 300)]) : $strip, $path);
        for ($k = $this->below(3); $k >= 0; $k--) {
            $body = $this->bent($body, $strip);
        }

        return [$method, "/api/scenes/{$this->scene['id']}{$path}", $body];
    }

    /** Requests as they should be. @return list<array{string, string, array<string, mixed>}> */
    private function plain(): array
    {
        $spot = $this->scene['strips'][1];
        $looked = ['view' => 'odd', 'number' => 1, 'draft' => true, 'window' => [0, 0, 64, 40], 'scale' => 1, 'changes' => [$spot['id'] => ['level' => 1]], 'solo' => [], 'below' => null];

        return [
            ['POST', '/picture', $looked], ['POST', '/picture', [...$looked, 'mask' => $spot['masks'][0]['id'] ?? null]], ['POST', '/picture', [...$looked, 'changes' => [$spot['id'] => ['values' => ['target' => [1, 2]], 'masks' => []]]]],
            ['POST', '/gestures/change-strip', ['strip' => 'STRIP', 'revision' => $spot['revision'], 'level' => 1, 'values' => ['beam' => 20]]],
            ['POST', '/gestures/change-strips', ['revisions' => [$spot['id'] => 1], 'changes' => [$spot['id'] => ['muted' => true]]]],
            ['POST', '/gestures/add-strip', ['kind' => 'spot', 'centre' => [1, 2], 'span' => 20]], ['POST', '/gestures/add-mask', ['strip' => 'STRIP', 'kind' => 'linear', 'centre' => [1, 2], 'span' => 20, 'values' => []]],
            ['POST', '/gestures/add-mask', ['strip' => 'STRIP', 'kind' => 'strokes', 'centre' => [1, 2], 'span' => 20, 'values' => ['strokes' => [['points' => [[1, 2]]]]]]],
            ['POST', '/gestures/reorder', ['strips' => array_column($this->scene['strips'], 'id')]], ['POST', '/gestures/duplicate', ['strip' => 'STRIP']], ['POST', '/gestures/trio', ['strip' => 'STRIP']], ['POST', '/gestures/align', ['strip' => 'STRIP']], ['POST', '/gestures/remove-mask', ['strip' => 'STRIP', 'mask' => 'x']],
            ['POST', '/gestures/remove-strip', ['strip' => 'STRIP', 'revision' => 0]], ['POST', '/gestures/mend', ['reading' => 'x', 'mend' => 'y']], ['POST', '/gestures/change-scene', ['title' => 'T', 'white' => 6500]],
            ['POST', '/undo', ['revision' => 1]], ['POST', '/redo', []], ['POST', '/plates', ['x' => 1, 'y' => 2]], ['GET', '', []], ['GET', '/revision', []],
        ];
    }

    /**
     * The same with one thing that does not belong there.
     *
     * @param  array<string, mixed>|string  $body
     */
    private function bent(array|string $body, string $strip): string
    {
        $text = is_string($body) ? $body : json_encode($body === [] ? (object) [] : $body, JSON_PRESERVE_ZERO_FRACTION);
        $odd = $this->below(60) === 0 ? '"'.str_repeat('x', 5000).'"' : $this->pick(self::VALUES);
        switch ($this->below(6)) {
            case 0:
                // a field that is set to something else
                return $this->with($text, $this->pick(self::FIELDS), $odd);
            case 1:
                return $this->with($text, 'changes', $this->pick(["{\"{$strip}\":{$odd}}", "[{$odd}]", "{\"0\":{$odd}}", "{\"{$strip}\":{\"{$this->pick(self::FIELDS)}\":{$odd}}}"]));
            case 2:
                return $this->with($text, 'values', "{\"{$this->pick(['origin', 'target', 'beam', 'colour', 'picture', 'corners', 'bearing', 'strokes', 'stops', 'path'])}\":{$odd}}");
            case 3:
                // any number in it
                return (string) preg_replace_callback('/(?<=[:,\[])-?\d+(\.\d+)?(?=[,\]}])/', fn (array $found): string => $this->below(3) === 0 ? $odd : $found[0], $text);
            case 4:
                return $this->pick([$odd, '', '{', $text.'}', "[{$text}]", str_repeat('[', 600).str_repeat(']', 600)]);
            default:
                return $this->with($text, 'masks', $this->pick(["{\"0\":{$odd}}", $odd, "{\"x\":{\"strokes\":{$odd}}}", "[{$odd}]"]));
        }
    }

    private function with(string $text, string $field, string $value): string
    {
        return str_ends_with($text, '}') && $text !== '{}' ? substr($text, 0, -1).",\"{$field}\":{$value}}" : "{\"{$field}\":{$value}}";
    }

    /**
     * @template T
     *
     * @param  array<T>  $of
     * @return T
     */
    private function pick(array $of): mixed
    {
        return array_values($of)[$this->below(count($of))];
    }

    private function below(int $most): int
    {
        $this->state = ($this->state * 1103515245 + 12345) & 0x7FFFFFFF;

        return ($this->state >> 8) % $most;
    }
}
