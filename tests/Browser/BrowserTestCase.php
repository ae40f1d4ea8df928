<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;

abstract class BrowserTestCase extends TestCase
{
    /** Which installation the class uses: the variable that holds its address. */
    protected const SERVED = 'BROWSER_BASE_URL';

    protected Browser $browser;

    /** Starting Chromium takes longer than most tests, so a class shares one; each test gets it in a fresh state. */
    private static ?Browser $shared = null;

    protected function setUp(): void
    {
        $this->browser = self::$shared ??= Browser::open(static::SERVED);
        $this->browser->asNew();
    }

    public static function tearDownAfterClass(): void
    {
        self::$shared?->close();
        self::$shared = null;
    }

    /** Logs in with the form. */
    protected function logInByForm(string $email, string $password = 'kestrel-demo'): void
    {
        $this->browser->visit('/desk/login')->fill('E-mail address', $email)->fill('Password', $password)->press('Log in');
    }

    /** Logs in without the form, which takes a second of every test. */
    protected function logIn(string $email = 'wren@kestrel.example', string $password = 'kestrel-demo'): void
    {
        // Any page of the same origin.
        $this->browser->load('/robots.txt');
        $status = $this->browser->driver->executeAsyncScript(
            <<<'JS'
            const [email, password, done] = arguments;
            (async () => {
                await fetch('/api/session');
                const token = decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]);
                const headers = { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token };
                const answer = await fetch('/api/session', { method: 'POST', headers, body: JSON.stringify({ email, password }) });
                return answer.status;
            })().then(done, (error) => done(String(error)));
            JS
            ,
            [$email, $password],
        );
        self::assertSame(200, $status, "{$email} is logged in");
    }

    protected function assertAccessible(string $where): void
    {
        $axe = (string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js');
        $this->browser->devTools('Runtime.evaluate', ['expression' => $axe]);
        $found = $this->browser->driver->executeAsyncScript(
            <<<'JS'
            const done = arguments[arguments.length - 1];
            // What is still fading in has too little contrast for a moment.
            const fading = document.getAnimations().filter((a) => Number.isFinite(a.effect?.getComputedTiming().endTime));
            const told = (v) => v.id + ': ' + v.nodes.slice(0, 3).map((n) => n.html.slice(0, 200)).join(' | ');
            Promise.allSettled(fading.map((a) => a.finished))
                .then(() => axe.run(document, { resultTypes: ['violations'] }))
                .then((r) => done(r.violations.map(told)));
            JS
            ,
        );
        self::assertSame([], $found, $where);
    }

    protected function assertFitsTheWidth(string $where): void
    {
        [$content, $screen] = $this->browser->driver->executeScript('return [document.documentElement.scrollWidth, window.innerWidth]');
        self::assertLessThanOrEqual($screen, $content, "{$where} is wider than the screen");
    }
}
