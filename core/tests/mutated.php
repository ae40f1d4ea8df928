<?php

declare(strict_types=1);

// Bootstrap of a test run on a mutant: the changed file is loaded before anything asks for the real one. Run by bin/mutate.

require dirname(__DIR__, 2).'/vendor/autoload.php';
require (string) getenv('ANTHESIS_MUTANT');
