<?php

declare(strict_types=1);

// What is wrong with a field, in plain words: which field, and what is allowed. Requests say it better where they can.
return [
    'accepted' => 'Say yes to :attribute.',
    'array' => ':Attribute is not a list.',
    'between' => [
        'numeric' => ':Attribute is a number from :min to :max.', 'string' => ':Attribute has :min to :max characters.',
        'array' => ':Attribute has :min to :max entries.', 'file' => ':Attribute has :min to :max kB.',
    ],
    'boolean' => ':Attribute is yes or no.',
    'date_format' => ':Attribute is not written as :format.',
    'different' => ':Attribute is the same as :other.',
    'distinct' => ':Attribute is there twice.',
    'email' => ':Attribute is no e-mail address.',
    'enum' => ':Attribute is none of those that can be chosen.',
    'in' => ':Attribute is none of those that can be chosen.',
    'integer' => ':Attribute is a whole number.',
    'max' => [
        'numeric' => ':Attribute is at most :max.', 'string' => ':Attribute is too long: :max characters at most.',
        'array' => ':Attribute has at most :max entries.', 'file' => ':Attribute is at most :max kB.',
    ],
    'min' => [
        'numeric' => ':Attribute is at least :min.', 'string' => ':Attribute is too short: at least :min characters.',
        'array' => ':Attribute has at least :min entries.', 'file' => ':Attribute is at least :min kB.',
    ],
    'numeric' => ':Attribute is a number.',
    'present' => ':Attribute is missing.',
    'present_if' => ':Attribute is missing.',
    'regex' => ':Attribute is not written in the right way.',
    'required' => ':Attribute is missing.',
    'required_if' => ':Attribute is missing.',
    'required_unless' => ':Attribute is missing.',
    'required_with' => ':Attribute is missing.',
    'required_without' => ':Attribute is missing.',
    'size' => ['array' => ':Attribute has :size entries.', 'string' => ':Attribute has :size characters.', 'numeric' => ':Attribute is :size.', 'file' => ':Attribute has :size kB.'],
    'string' => ':Attribute is a line of text.',
    'ulid' => ':Attribute is not an id of ours: load the page again.',
    'uploaded' => ':Attribute did not arrive whole: send it again.',

    'attributes' => [
        'a' => 'the first point', 'b' => 'the second point', 'email' => 'the e-mail address', 'password' => 'the password', 'feet' => 'the length in feet',
        'gauge' => 'the gauge', 'site' => 'the name of the house', 'address' => 'the address', 'system' => 'the name of the system', 'kind' => 'the kind of visit',
        'line' => 'the conductor', 'lines' => 'the list of conductors', 'csv' => 'the conductor schedule', 'cable' => 'the cable', 'number' => 'the conductor\'s number',
        'value' => 'the value', 'values' => 'the list of values', 'values.*' => 'a value', 'mode' => 'what the meter measures', 'stage' => 'the stage', 'step' => 'the step', 'call' => 'the call',
        'state' => 'the power state', 'volts' => 'the reading in volts', 'supplies.*' => 'a reading in volts', 'note' => 'the note', 'reason' => 'the reason', 'name' => 'the name',
        'role' => 'who signs', 'strokes' => 'the signature', 'title' => 'the name of the thermostat', 'screws' => 'the letters of the plate', 'va' => 'what it takes in VA',
        'facts.lineVolts' => 'the line in volts', 'facts.tapVolts' => 'the tap in volts', 'facts.transformerVa' => 'the transformer\'s rating in VA', 'facts.fuseAmps' => 'the fuse in amperes',
        'day' => 'the day', 'starts' => 'the start', 'who' => 'the van or person', 'find' => 'what to find', 'show' => 'what to show', 'rows' => 'the number of rows',
        'id' => 'the id', 'version' => 'the version', 'op' => 'the edit', 'profile' => 'the thermostat', 'files' => 'the files', 'place' => 'the place', 'to' => 'where to',
        'safety' => 'the list of float switches', 'jumpers' => 'the list of jumpers', 'json' => 'the file', 'event' => 'start or end', 'seen' => 'seen or not', 'on' => 'on or off', 'fault' => 'the fault',
    ],
];
