<?php

declare(strict_types=1);

// Tests have their own databases: one, or one per process if several run them. Never the application's.

$database = rtrim('anthesis_test_'.getenv('TEST_TOKEN'), '_');
putenv("DB_DATABASE={$database}");
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;

require dirname(__DIR__).'/vendor/autoload.php';
