<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Assert;
use RuntimeException;

/** A real, headless Chromium on the application that bin/test serves. */
final class Browser
{
    /** Long enough for a machine that is busy with other work; only a failing test waits this long. */
    private const WAIT_SECONDS = 90;

    private const ARGUMENTS = [
        '--no-sandbox',
        '--disable-gpu',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-quic',
        '--window-size=1280,800',
    ];

    /** How many clicks a person would have made so far: buttons, links, and into fields to type. */
    public int $clicks = 0;

    private function __construct(
        public readonly RemoteWebDriver $driver,
        private readonly string $base,
        private readonly string $profile,
    ) {
    }

    /** @param  string  $served  the variable with the address: of the demonstration or, BROWSER_EMPTY_URL, of the empty installation */
    public static function open(string $served = 'BROWSER_BASE_URL'): self
    {
        [$base, $driver] = [getenv($served), getenv('BROWSER_DRIVER_URL')];
        if ($base === false || $driver === false) {
            throw new RuntimeException('Browser tests need a served application and ChromeDriver. Run them with: bin/test browser');
        }
        $profile = sys_get_temp_dir().'/anthesis-browser-'.uniqid();
        $options = (new ChromeOptions())
            ->setBinary(__DIR__.'/chromium')
            ->addArguments([...self::ARGUMENTS, "--user-data-dir={$profile}"]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);

        $remote = RemoteWebDriver::create($driver, $capabilities);
        $remote->manage()->timeouts()->setScriptTimeout(self::WAIT_SECONDS);

        return new self($remote, $base, $profile);
    }

    public function close(): void
    {
        $this->driver->quit();
        exec('rm -rf '.escapeshellarg($this->profile));
    }

    /** Forgets who was logged in, what was stored, which device it was, and what was in the console. */
    public function asNew(): void
    {
        $this->devTools('Emulation.clearDeviceMetricsOverride', []);
        $this->devTools('Emulation.setScriptExecutionDisabled', ['value' => false]);
        // Leave the last page first: what it is still loading would bring its cookies back.
        $this->driver->get('about:blank');
        $this->devTools('Network.clearBrowserCookies', []);
        $this->devTools('Storage.clearDataForOrigin', ['origin' => $this->base, 'storageTypes' => 'all']);
        $this->errors();
    }

    /** Goes to an address: from one screen of the desk to another as its links do, otherwise by loading it. */
    public function visit(string $path): self
    {
        return $this->isGoneTo($path) ? $this : $this->load($path);
    }

    /** Loads an address, which forgets what the page knew. */
    public function load(string $path): self
    {
        $this->slowDown();
        $this->driver->get($this->base.$path);

        return $this;
    }

    /** Whether the desk was open, and shows another of its screens by now; an address loads in twice the time. */
    private function isGoneTo(string $path): bool
    {
        return (bool) $this->driver->executeAsyncScript(
            <<<'JS'
            const [path, done] = arguments;
            const before = document.querySelector('main');
            const isDesk = location.pathname.startsWith('/desk') && path.startsWith('/desk') && document.querySelector('nav') !== null;
            if (!isDesk || before === null || path.split('?')[0] === location.pathname) {
                done(false);
                return;
            }
            before.dataset.before = '';
            history.pushState(null, '', path);
            dispatchEvent(new PopStateEvent('popstate'));
            const look = () => {
                const isThere = document.querySelector('main:not([data-before])') && !document.querySelector('div.settling');
                if (isThere) done(true);
                else requestAnimationFrame(look);
            };
            look();
            JS
            ,
            [$path],
        );
    }

    public function path(): string
    {
        return (string) parse_url($this->driver->getCurrentURL(), PHP_URL_PATH);
    }

    public function find(string $css): RemoteWebElement
    {
        return $this->first(WebDriverBy::cssSelector($css), static fn (): bool => true, "No {$css}");
    }

    /**
     * Waits until the condition holds: what is soon there is seen soon, and what takes long is seldom asked for. What the page removes in
     * the meantime is looked up again.
     */
    public function until(callable $holds, string $message): void
    {
        $end = hrtime(true) + self::WAIT_SECONDS * 1_000_000_000;
        for ($pause = 10_000; ; $pause = min(2 * $pause, 300_000)) {
            try {
                if ($holds()) {
                    return;
                }
            } catch (StaleElementReferenceException) {
                // Looked up again.
            }
            if (hrtime(true) > $end) {
                throw new TimeoutException("{$message} This is {$this->driver->getCurrentURL()}.");
            }
            usleep($pause);
        }
    }

    /** Waits until the text is nowhere on the page. */
    public function seeNoLonger(string $text): self
    {
        $this->until(fn (): bool => ! str_contains($this->text(), $text), "“{$text}” is still to be read.");

        return $this;
    }

    /** The text of the first such element, once it starts with this. */
    public function starting(string $css, string $start): string
    {
        $read = '';
        $this->until(function () use ($css, $start, &$read): bool {
            $read = $this->shown($css);

            return str_starts_with($read, $start);
        }, "No {$css} starts with “{$start}”.");

        return $read;
    }

    /** Waits until the text is somewhere on the page. */
    public function see(string $text): self
    {
        $read = '';
        try {
            $this->until(function () use ($text, &$read): bool {
                $read = $this->shown('body');

                return str_contains($read, $text);
            }, '');
        } catch (TimeoutException) {
            Assert::fail(
                "“{$text}” is not to be read on {$this->driver->getCurrentURL()}, where it says: ".
                    mb_substr($this->text(), 0, 6000),
            );
        }
        // What was read then: the page may go on to something else.
        Assert::assertStringContainsString($text, $read);

        return $this;
    }

    /** The text of the first such element; nothing while the screen waits for its first data, and is there but not visible. */
    private function shown(string $css): string
    {
        return (string) $this->driver->executeScript(
            'return document.querySelector("div.settling") ? "" : document.querySelector(arguments[0])?.innerText ?? ""',
            [$css],
        );
    }

    public function text(): string
    {
        return (string) $this->driver->executeScript('return document.body.innerText');
    }

    public function fill(string $label, string $value): self
    {
        $field = $this->labelled($label);
        // The way a person would: React does not notice what WebDriver's clear() removes.
        if ($field->getAttribute('value') !== '') {
            $field->sendKeys([WebDriverKeys::CONTROL, 'a'])->sendKeys([WebDriverKeys::NULL, WebDriverKeys::BACKSPACE]);
        }
        $field->sendKeys($value);
        $this->clicks++;

        return $this;
    }

    public function press(string $text): self
    {
        return $this->click("//button[normalize-space()='{$text}']");
    }

    public function follow(string $text): self
    {
        return $this->click("//a[normalize-space()='{$text}']");
    }

    public function attach(string $path): self
    {
        $this->find('input[type=file]')->sendKeys($path);
        $this->clicks++;

        return $this;
    }

    public function keys(string ...$keys): self
    {
        foreach ($keys as $key) {
            $this->driver->getKeyboard()->sendKeys($key);
        }

        return $this;
    }

    /** Moves on with the Tab key only, or back with Shift, until the element with this text has focus. */
    public function tabTo(string $says, bool $back = false, int $most = 80): self
    {
        for ($i = 0; $i < $most; $i++) {
            $this->driver
                ->switchTo()
                ->activeElement()
                ->sendKeys($back ? [WebDriverKeys::SHIFT, WebDriverKeys::TAB] : [WebDriverKeys::TAB]);
            $at = $this->driver->executeScript(
                'const e = document.activeElement; return (e.getAttribute("aria-label") ?? e.labels?.[0]?.textContent ?? e.textContent).trim().replace(/\s*\*$/, "")',
            );
            if ($at === $says) {
                return $this;
            }
        }
        Assert::fail("“{$says}” is not come to within {$most} presses of the Tab key, on {$this->driver->getCurrentURL()}.");
    }

    public function phone(): self
    {
        $this->devTools('Emulation.setDeviceMetricsOverride', [
            'width' => 390,
            'height' => 844,
            'deviceScaleFactor' => 2,
            'mobile' => true,
        ]);

        return $this;
    }

    public function withoutJavaScript(): self
    {
        $this->devTools('Emulation.setScriptExecutionDisabled', ['value' => true]);

        return $this;
    }

    /** @param  array<string, mixed>  $parameters */
    public function devTools(string $command, array $parameters): mixed
    {
        return (new ChromeDevToolsDriver($this->driver))->execute($command, $parameters);
    }

    /** @return list<string> errors in the console since last asked */
    public function errors(): array
    {
        return array_values(
            array_map(
                static fn (array $e): string => $e['message'],
                array_filter($this->driver->manage()->getLog('browser'), static fn (array $e): bool => $e['level'] === 'SEVERE'),
            ),
        );
    }

    /** With BROWSER_SLOW set, uses a slow network and processor, which reveals a page that acts before its data have arrived. */
    private function slowDown(): void
    {
        if (getenv('BROWSER_SLOW') !== false) {
            $this->devTools('Network.emulateNetworkConditions', [
                'offline' => false,
                'latency' => 600,
                'downloadThroughput' => 250_000,
                'uploadThroughput' => 250_000,
            ]);
            $this->devTools('Emulation.setCPUThrottlingRate', ['rate' => 3]);
        }
    }

    private function labelled(string $label): RemoteWebElement
    {
        $quoted = "'{$label}'";

        return $this->clickable(
            "//*[@id=//label[starts-with(normalize-space(), {$quoted})]/@for] | //*[@aria-label={$quoted}][self::input or self::textarea]",
        );
    }

    /** Clicks on it, once nothing is in front of it, as a notice is for a moment. */
    private function click(string $xpath): self
    {
        $this->until(function () use ($xpath): bool {
            try {
                $this->clickable($xpath)->click();
            } catch (ElementClickInterceptedException) {
                return false;
            }

            return true;
        }, "Something is in front of {$xpath}.");
        $this->clicks++;

        return $this;
    }

    private function clickable(string $xpath): RemoteWebElement
    {
        return $this->first(
            WebDriverBy::xpath($xpath),
            static fn (RemoteWebElement $e): bool => $e->isDisplayed() && $e->isEnabled(),
            "Nothing to click at {$xpath}",
        );
    }

    /** Waits for the first such element that is as wanted. */
    private function first(WebDriverBy $by, callable $isWanted, string $message): RemoteWebElement
    {
        $found = null;
        $this->until(function () use ($by, $isWanted, &$found): bool {
            $found = $this->driver->findElements($by)[0] ?? null;

            return $found !== null && $isWanted($found);
        }, "{$message}.");

        return $found ?? throw new TimeoutException($message);
    }
}
