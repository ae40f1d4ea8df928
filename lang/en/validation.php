<?php

declare(strict_types=1);

// Fields as they are called on screen; the sentences themselves are the framework's.
return [
    'attributes' => [
        'air' => 'air',
        'cells.*' => 'number',
        'columns.date' => 'column: date',
        'columns.maximum' => 'column: maximum',
        'columns.minimum' => 'column: minimum',
        'date_order' => 'dates',
        'email' => 'e-mail address',
        'height_m' => 'height',
        'offset' => 'offset',
        'places' => 'column: places',
        'rate' => 'rate',
        'reason' => 'why',
        'settlements.*.name' => 'settlement',
        'settlements.*.postcode' => 'postcode',
        'station' => 'station',
        'station_height_m' => 'its height',
        'station_name' => 'its name',
        'stations.*.height_m' => 'height',
        'stations.*.lapse' => '°C per 100 m',
        'stations.*.matched' => 'matched',
        'stations.*.name' => 'station',
        'to_station' => 'of station',
        'windows.*.first' => 'from',
        'windows.*.last' => 'to',
        'windows.*.route' => 'way of growing',
        'years' => 'years used',
    ],
];
