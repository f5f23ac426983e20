<?php

declare(strict_types=1);

use Tests\Support\BrowserTest;
use Tests\Support\HttpTest;

pest()->extend(HttpTest::class)->in('Http');
pest()->extend(BrowserTest::class)->in('Browser');
