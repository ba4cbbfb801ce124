<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Somebody at a tablet that reaches the shop over the network; without TLS here. */
trait SignsIn
{
    private const PIN = '482915';

    private function code(string $name): string
    {
        preg_match('/[A-Z2-9]{5}-[A-Z2-9]{5}/', $this->rig->artisan("shop:people --code='{$name}'"), $found);

        return $found[0] ?? self::fail("{$name} got no code");
    }

    /** What the store has, whoever is signed in. */
    private function inStore(string $sql): mixed
    {
        return (new \PDO("sqlite:{$this->rig->database()}"))->query($sql)?->fetchColumn();
    }

    private function ownerIn(): void
    {
        $this->rig->artisan("shop:people --owner='Bench one'");
        $this->visit('/');
        $this->sees('Who is at this device?', 'Bench one');
        $this->fill('The code you were given', $this->code('Bench one'));
        $this->fill('A PIN or password of your own', self::PIN);
        $this->keys(WebDriverKeys::ENTER);
        $this->sees('The bench', 'Bench one');
    }
}
