<?php

declare(strict_types=1);

// What every page needs is read and linked once, when fpm starts, and not by every request: our own classes and those
// of the packages that answer a request. Named in fpm's settings by bin/deploy.
$root = dirname(__DIR__);
$needed = '#^(App|Unionbit|Illuminate|Inertia|Carbon|Psr|Symfony\\\\Component\\\\(HttpFoundation|HttpKernel|Routing|'.
    'EventDispatcher|String|Translation|Console|Finder|Process|ErrorHandler|Mime|Clock)|Symfony\\\\Contracts|Monolog|'.
    'Dotenv|Ramsey|Brick|Doctrine\\\\Inflector|League\\\\Flysystem)\\\\#';
$not = '#/(Testing|Console|Testing/.*|tests?|stubs)/#i';
$classes = require "{$root}/vendor/composer/autoload_classmap.php";
foreach ($classes as $class => $file) {
    if (preg_match($needed, $class) === 1 && preg_match($not, substr($file, strlen($root))) !== 1) {
        @opcache_compile_file($file);
    }
}
// Some name a package that is not here: those are read when they are asked for, which is never. Each would be a line of
// the log at every start.
error_reporting(E_ALL & ~E_WARNING);
