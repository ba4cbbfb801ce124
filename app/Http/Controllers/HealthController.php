<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\StorageFault;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Whether the shop can be worked in: its file opens, is of this version, can be written, and there is room. */
final class HealthController
{
    /** Less room than this, bytes, is soon none. */
    private const ROOM = 50_000_000;

    public function __invoke(): JsonResponse
    {
        $wrong = [];
        try {
            DB::select('select count(*) from jobs');
            $all = array_map(
                static fn (string $file): string => basename($file, '.php'),
                glob(database_path('migrations/*.php')) ?: [],
            );
            if (array_diff($all, DB::table('migrations')->pluck('migration')->all()) !== []) {
                $wrong['version'] = 'The shop’s file is of an older version: start with bin/start.';
            }
            DB::beginTransaction();
            DB::update('update shops set name = name');
            DB::rollBack();
        } catch (\PDOException $e) {
            $wrong['file'] = StorageFault::of($e)->sentence();
        }
        $photos = config('shop.photos');
        $folder = is_string($photos) && is_dir($photos) ? $photos : storage_path();
        if (! is_writable($folder)) {
            $wrong['photographs'] = 'The folder of the photographs can’t be written.';
        }
        if ((@disk_free_space($folder) ?: INF) < self::ROOM) {
            $wrong['room'] = 'The disk is nearly full.';
        }

        return new JsonResponse(['good' => $wrong === [], 'wrong' => (object) $wrong], $wrong === [] ? 200 : 503);
    }
}
