<?php

declare(strict_types=1);

namespace App\Sheet;

use Carbon\CarbonImmutable;
use Oldpart\Core\Facts\JobFacts;
use Oldpart\Core\Measure\GaugeCheck;
use Sabre\VObject\Component\VCalendar;

/** What of a job has its day or its hour, as calendar entries (RFC 5545). */
final class Calendar
{
    /** @param  array<string, \DateTimeImmutable>  $checks  by instrument: when it was last checked against a master */
    public static function of(JobFacts $facts, array $checks = []): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Oldpart Fit//Jobs//EN']);
        $name = trim("{$facts->machine}, {$facts->part}", ', ');
        if ($facts->waits?->until !== null) {
            $until = CarbonImmutable::parse($facts->waits->until)->utc();
            $calendar->add('VEVENT', [
                'UID' => "{$facts->id}-waits@oldpart-fit.invalid",
                'SUMMARY' => "{$name}: done {$facts->waits->for->value}",
                'DESCRIPTION' => $facts->waits->note,
                'DTSTART' => $until,
                'DTEND' => $until->addMinutes(15),
            ]);
        }
        if ($facts->takeIn->wantedBy !== null) {
            $day = CarbonImmutable::parse($facts->takeIn->wantedBy);
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "{$facts->id}-wanted@oldpart-fit.invalid",
                'SUMMARY' => "{$name}: wanted",
            ]);
            $event->add('DTSTART', $day->format('Ymd'), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }
        if ($facts->handOver->serviceOn !== null) {
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "{$facts->id}-service@oldpart-fit.invalid",
                'SUMMARY' => "{$name}: look at it again",
                'DESCRIPTION' => $facts->handOver->nextTime,
            ]);
            $event->add('DTSTART', CarbonImmutable::parse($facts->handOver->serviceOn)->format('Ymd'), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }
        foreach ($checks as $code => $last) {
            if (! $facts->shop->instruments->has($code)) {
                continue;
            }
            $tool = $facts->shop->instruments->named($code);
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "{$facts->id}-check-{$code}@oldpart-fit.invalid",
                'SUMMARY' => "Check the {$tool->name} against a master",
                'DESCRIPTION' => 'Its readings of '.($name === '' ? 'this job' : $name).' are corrected by the check before.',
            ]);
            $due = $last->modify('+'.GaugeCheck::GOOD_FOR_DAYS.' days');
            $event->add('DTSTART', $due->format('Ymd'), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }

        return $calendar->serialize();
    }
}
