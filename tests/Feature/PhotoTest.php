<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Photos\Photographs;

/** Photographs: upright, small, without a trace of where they were taken; what is no photograph is refused. */
final class PhotoTest extends FeatureTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/oldpart-fit-photos-'.bin2hex(random_bytes(4));
        $this->app?->instance(Photographs::class, new Photographs($this->folder));
        $this->startJob();
    }

    protected function tearDown(): void
    {
        exec('rm -rf '.escapeshellarg($this->folder));
        parent::tearDown();
    }

    /** A picture that is red on its left half and blue on its right. */
    private static function picture(int $width, int $height, string $as = 'jpeg'): string
    {
        $image = imagecreatetruecolor($width, $height);
        imagefilledrectangle(
            $image,
            0,
            0,
            intdiv($width, 2) - 1,
            $height,
            (int) imagecolorallocate($image, 220, 20, 20),
        );
        imagefilledrectangle(
            $image,
            intdiv($width, 2),
            0,
            $width,
            $height,
            (int) imagecolorallocate($image, 20, 20, 220),
        );
        ob_start();
        $as === 'png' ? imagepng($image) : imagejpeg($image, null, 92);

        return (string) ob_get_clean();
    }

    /**
     * The same JPEG with an Exif block: how it was held, and a place (JEITA CP-3451: orientation 0x0112, GPS 0x8825).
     */
    private static function held(string $jpeg, int $orientation): string
    {
        $entry = static fn (int $tag, int $type, int $count, string $value): string => pack('nnN', $tag, $type, $count).
            $value;
        $gps = pack('n', 1).$entry(1, 2, 2, "N\0\0\0").pack('N', 0);
        $tiff =
            'MM'.
            pack('nN', 42, 8).
            pack('n', 2).
            $entry(0x0112, 3, 1, pack('nn', $orientation, 0)).
            $entry(0x8825, 4, 1, pack('N', 38)).
            pack('N', 0).
            $gps;
        $block = "Exif\0\0".$tiff;

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($block) + 2).$block.substr($jpeg, 2);
    }

    /** @return array<string, mixed> */
    private function upload(
        string $bytes,
        int $status,
        string $id = 'photo-1',
        int $version = 1,
        string $request = 'up-1',
    ): array {
        return $this->api(
            'PUT',
            "/api/jobs/job-1/pictures/{$id}?version={$version}&request={$request}",
            $bytes,
            $status,
        );
    }

    private function stored(string $query = ''): \GdImage
    {
        $response = $this->send('GET', "/api/jobs/job-1/pictures/photo-1{$query}");
        self::assertSame('image/jpeg', $response->headers->get('Content-Type'));
        $file = $response->baseResponse->getFile()->getPathname();
        self::assertFalse(
            str_starts_with((string) realpath($file), (string) realpath(public_path())),
            'not in the open folder',
        );
        $image = imagecreatefromjpeg($file);
        self::assertNotFalse($image);

        return $image;
    }

    private static function isRed(\GdImage $image, float $x, float $y): bool
    {
        $rgb = imagecolorsforindex(
            $image,
            (int) imagecolorat($image, (int) ($x * (imagesx($image) - 1)), (int) ($y * (imagesy($image) - 1))),
        );

        return $rgb['red'] > $rgb['blue'];
    }

    /**
     * Case 20 of an outside audit: what is refused changes nothing, no name meets another's small picture, and what is
     * too large is never opened.
     */
    public function test_20_a_refused_photograph_overwrites_nothing(): void
    {
        $this->upload(self::picture(400, 200), 201);
        $before = (string) file_get_contents("{$this->folder}/job-1/photo-1.jpg");
        $this->upload(self::picture(900, 900), 409, 'photo-2', 1, 'up-2');
        self::assertFileDoesNotExist("{$this->folder}/job-1/photo-2.jpg");
        $this->upload(self::picture(900, 900), 201, 'photo-1', 2, 'up-3');
        self::assertSame(
            $before,
            (string) file_get_contents("{$this->folder}/job-1/photo-1.jpg"),
            'another picture under its name',
        );
        self::assertSame([], glob("{$this->folder}/job-1/*.jpg.*"), 'nothing is left beside');
        $this->upload(self::picture(300, 300), 201, 'photo-1-small', 2, 'up-4');
        self::assertSame(320, imagesx($this->stored('?small=1')), 'the small one of photo-1 is its own');
        self::assertSame(
            'too-many-pixels',
            $this->upload(
                "\xFF\xD8\xFF\xE0\x00\x10JFIF\0\x01\x01\0\0\x01\0\x01\0\0\xFF\xC0\x00\x11\x08".
                    pack('nn', 6000, 6000).
                    "\x03\x01\x22\0\x02\x11\x01\x03\x11\x01\xFF\xD9",
                422,
                'huge',
                3,
                'up-5',
            )['error']['code'],
        );
    }

    public function test_it_is_scaled_down_and_becomes_a_fact_of_the_job(): void
    {
        $state = $this->upload(self::picture(3000, 1500), 201);
        self::assertSame([2000, 1000], [$state['facts']['photos'][0]['width'], $state['facts']['photos'][0]['height']]);
        self::assertSame(2, $state['version']);
        self::assertSame(2000, imagesx($this->stored()));
        self::assertSame(320, imagesx($this->stored('?small=1')));
        $surface = self::idOf($state, 'surfaces', 'Housing bore');
        $pinned = $this->api(
            'PUT',
            '/api/jobs/job-1/photos/photo-1',
            $this->change(2, ['surface' => $surface, 'x' => 0.25, 'y' => 0.5, 'note' => 'worn here']),
            200,
        );
        self::assertSame($surface, $pinned['facts']['photos'][0]['surface']);
        self::assertSame(2000, $pinned['facts']['photos'][0]['width']);
    }

    /** Turned by what the camera says of how it was held (Exif orientation 1 to 8); the red half tells. */
    public function test_it_is_turned_upright(): void
    {
        $expected = [
            1 => [0.1, 0.5],
            2 => [0.9, 0.5],
            3 => [0.9, 0.5],
            4 => [0.1, 0.5],
            5 => [0.5, 0.1],
            6 => [0.5, 0.1],
            7 => [0.5, 0.9],
            8 => [0.5, 0.9],
        ];
        foreach ($expected as $orientation => [$x, $y]) {
            (new Photographs($this->folder))
                ->prepare('job-1', 'photo-1', self::held(self::picture(400, 200), $orientation))
                ->put();
            $image = $this->stored();
            self::assertSame(
                $orientation >= 5 ? [200, 400] : [400, 200],
                [imagesx($image), imagesy($image)],
                "held {$orientation}",
            );
            self::assertTrue(self::isRed($image, $x, $y), "held {$orientation}");
            self::assertFalse(self::isRed($image, 1 - $x, 1 - $y), "held {$orientation}");
        }
    }

    public function test_nothing_of_the_place_stays_in_it(): void
    {
        $sent = self::held(self::picture(400, 200), 6);
        self::assertStringContainsString('Exif', $sent);
        $this->upload($sent, 201);
        foreach (glob("{$this->folder}/job-1/*.jpg") ?: [] as $file) {
            self::assertStringNotContainsString('Exif', (string) file_get_contents($file));
        }
        self::assertCount(2, glob("{$this->folder}/job-1/*") ?: [], 'nothing half-written lies about');
    }

    public function test_sent_twice_it_is_one_photograph(): void
    {
        $this->upload(self::picture(40, 30), 201);
        self::assertCount(1, $this->upload(self::picture(40, 30), 201)['facts']['photos']);
        self::assertCount(2, $this->upload(self::picture(40, 30, 'png'), 201, 'photo-2', 2, 'up-2')['facts']['photos']);
    }

    public function test_what_is_no_photograph_is_refused(): void
    {
        // A picture that claims to be 30,000 by 30,000: refused by its head, never opened.
        $bomb =
            "\x89PNG\r\n\x1a\n".
            pack('N', 13).
            'IHDR'.
            pack('NNCCCCC', 30000, 30000, 8, 6, 0, 0, 0).
            pack('N', crc32('IHDR'.pack('NNCCCCC', 30000, 30000, 8, 6, 0, 0, 0)));
        foreach (
            [
                'no-photo' => '',
                'not-a-photo' => 'hello, I am a text',
                'too-many-pixels' => $bomb,
                'too-large' => str_repeat('x', Photographs::MAX_BYTES + 1),
            ] as $code => $bytes
        ) {
            $error = $this->upload($bytes, 422)['error'];
            self::assertSame([$code, 'photo'], [$error['code'], $error['field']]);
        }
        $gif = imagecreatetruecolor(4, 4);
        ob_start();
        imagegif($gif);
        self::assertSame('not-a-photo', $this->upload((string) ob_get_clean(), 422)['error']['code']);
        self::assertSame('not-a-photo', $this->upload(substr(self::picture(400, 300), 0, 90), 422)['error']['code']);
        self::assertSame([], $this->api('GET', '/api/jobs/job-1', null, 200)['facts']['photos']);
        $this->api('GET', '/api/jobs/job-1/pictures/gone', null, 404);
        $this->api('PUT', '/api/jobs/nowhere/pictures/p?version=1&request=r', self::picture(4, 4), 404);
        $this->api('PUT', '/api/jobs/job-1/pictures/p?request=r', self::picture(4, 4), 422);
    }
}
