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

// and its get_error_handler and get_exception_handler, which the framework's tests expect

if (! function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(null);
        restore_error_handler();

        return $handler;
    }
}

if (! function_exists('get_exception_handler')) {
    function get_exception_handler(): ?callable
    {
        $handler = set_exception_handler(null);
        restore_exception_handler();

        return $handler;
    }
}
