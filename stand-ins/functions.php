<?php

declare(strict_types=1);

// PHP 8.5's array_first and array_last, which the framework expects from symfony/polyfill-php85.

if (! function_exists('array_first')) {
    function array_first(array $array): mixed
    {
        foreach ($array as $value) {
            return $value;
        }

        return null;
    }
}

if (! function_exists('array_last')) {
    function array_last(array $array): mixed
    {
        return $array === [] ? null : current(array_slice($array, -1));
    }
}
