<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Backup\Backup;
use App\Backup\Backups;
use App\Backup\BadBackup;
use App\Backup\OpenFiles;
use App\Backup\Restoring;
use App\Http\Body;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Oldpart\Core\Advice\BadInput;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Backups under Shop: what is there, another one now, out as a file, and back over what is there. */
final readonly class BackupController
{
    public function __construct(private Backups $backups, private Restoring $restoring)
    {
    }

    public function index(): JsonResponse
    {
        return new JsonResponse([
            'backups' => array_map(static fn (Backup $b): array => [
                'name' => $b->name(),
                'made_at' => $b->madeAt->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
                'jobs' => $b->jobs,
                'photos' => $b->photos,
                'version' => $b->version,
                'bytes' => (int) filesize($b->path),
            ], $this->backups->all()),
            'changed' => $this->backups->hasChanged(),
        ]);
    }

    public function store(): JsonResponse
    {
        $this->try(fn (): Backup => $this->backups->make());

        return $this->index();
    }

    public function show(string $backup): BinaryFileResponse
    {
        return new BinaryFileResponse($this->named($backup)->path, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => 'attachment; filename="'.$backup.'"',
        ]);
    }

    /** Everything as open files. */
    public function everything(OpenFiles $files): BinaryFileResponse
    {
        $path = sys_get_temp_dir().'/oldpart-fit-everything-'.bin2hex(random_bytes(6)).'.zip';
        $this->try(fn (): int => $files->write($path));

        return (new BinaryFileResponse($path, 200, [
            'Content-Type' => 'application/zip',
            'Content-Disposition' => 'attachment; filename="oldpart-fit-'.date('Y-m-d').'.zip"',
        ]))->deleteFileAfterSend();
    }

    /** Says what would be lost; carries it out where that is accepted, or nothing is. */
    public function restore(Request $request, string $backup): JsonResponse
    {
        $yes = Body::of($request)->only(['yes'])->flag('yes');
        $its = $this->named($backup);
        $lost = $this->try(fn (): array => $this->restoring->loses($its));
        $before = $yes ? $this->try(fn (): string => $this->restoring->carryOut($its)) : null;

        return new JsonResponse(['loses' => $lost, 'before' => $before === null ? null : basename($before)]);
    }

    private function named(string $name): Backup
    {
        foreach ($this->backups->all() as $backup) {
            if ($backup->name() === $name) {
                return $backup;
            }
        }
        throw new NotFoundHttpException();
    }

    /**
     * @template T
     *
     * @param  callable(): T  $do
     * @return T
     */
    private function try(callable $do): mixed
    {
        try {
            return $do();
        } catch (BadBackup $bad) {
            throw new BadInput('backup', 'backup', $bad->getMessage());
        }
    }
}
