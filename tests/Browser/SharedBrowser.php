<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Exception\PhpWebDriverExceptionInterface;
use Facebook\WebDriver\Remote\RemoteWebDriver;

/**
 * One Chromium for many tests, as starting one takes longer than many a test. Each gets a fresh tab and no cookies, and
 * nothing of what a page kept for the shop before it; only its scripts, which are the same, are not fetched again.
 */
final class SharedBrowser
{
    /** After so many it is started anew: a browser that ran for an hour is not what a person has. */
    private const TESTS = 20;

    private static ?RemoteWebDriver $driver = null;

    private static bool $lent = false;

    private static int $served = 0;

    /** @param  \Closure(): RemoteWebDriver  $start */
    public static function lend(\Closure $start, string $shop, string $downloads): ?RemoteWebDriver
    {
        if (self::$lent) {
            return null;
        }
        if (self::$driver === null) {
            self::$driver = $start();
            self::$served = 0;
        }
        self::$lent = true;
        self::$served++;
        $tools = new ChromeDevToolsDriver(self::$driver);
        $tools->execute('Browser.setDownloadBehavior', ['behavior' => 'allow', 'downloadPath' => $downloads]);
        $tools->execute('Storage.clearDataForOrigin', ['origin' => $shop, 'storageTypes' => 'all']);
        // A tab that others were before has the eye as the first one has.
        $tools->execute('Page.bringToFront');
        $tools->execute('Emulation.setFocusEmulationEnabled', ['enabled' => true]);

        return self::$driver;
    }

    /** False for one that is not shared: whoever has it ends it. */
    public static function giveBack(RemoteWebDriver $driver): bool
    {
        if ($driver !== self::$driver) {
            return false;
        }
        self::$lent = false;
        try {
            if (self::$served >= self::TESTS) {
                self::end();

                return true;
            }
            $old = $driver->getWindowHandles();
            $driver->switchTo()->newWindow();
            $fresh = $driver->getWindowHandle();
            foreach ($old as $handle) {
                $driver->switchTo()->window($handle);
                $driver->close();
            }
            $driver->switchTo()->window($fresh);
            (new ChromeDevToolsDriver($driver))->execute('Network.clearBrowserCookies');
            $driver->manage()->getLog('browser');
        } catch (PhpWebDriverExceptionInterface) {
            self::end();
        }

        return true;
    }

    public static function end(): void
    {
        try {
            self::$driver?->quit();
        } catch (PhpWebDriverExceptionInterface) {
            // It is gone already.
        }
        self::$driver = null;
        self::$lent = false;
    }
}
