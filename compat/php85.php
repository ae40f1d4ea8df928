<?php

declare(strict_types=1);

// Two functions that PHP 8.5 brings and Eloquent already calls; see README.md beside this file.

if (! function_exists('array_first')) {
    /**
     * @param  array<array-key, mixed>  $array
     * @return mixed the first value, null of an empty array
     */
    function array_first(array $array): mixed
    {
        foreach ($array as $value) {
            return $value;
        }

        return null;
    }
}

if (! function_exists('array_last')) {
    /**
     * @param  array<array-key, mixed>  $array
     * @return mixed the last value, null of an empty array
     */
    function array_last(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_last($array)];
    }
}
