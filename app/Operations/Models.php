<?php

declare(strict_types=1);

namespace App\Operations;

use Illuminate\Database\Eloquent\Model;
use ReflectionClass;

/** All models of the application, by what they say about themselves in attributes. */
final class Models
{
    /** @return list<class-string<Model>> */
    public static function all(): array
    {
        $models = [];
        foreach (glob(app_path('*/*.php')) ?: [] as $file) {
            $class = 'App\\'.basename(dirname($file)).'\\'.basename($file, '.php');
            if (is_subclass_of($class, Model::class)) {
                $models[] = $class;
            }
        }

        return $models;
    }

    /**
     * @template A of object
     *
     * @param  class-string<A>  $attribute
     * @return array<class-string<Model>, A> models that have it
     */
    public static function with(string $attribute): array
    {
        $found = [];
        foreach (self::all() as $model) {
            $said = (new ReflectionClass($model))->getAttributes($attribute)[0] ?? null;
            if ($said !== null) {
                $found[$model] = $said->newInstance();
            }
        }

        return $found;
    }
}
