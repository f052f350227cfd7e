<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Feeds\Unreachable;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\LookUpService;
use App\Support\AccountIds;
use App\Support\Together;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;

/** Has addresses that were checked long ago checked again, the longest ago first, and what follows follows. */
final class CheckAgain
{
    /** Days for which what a checker said is believed. */
    public const HOLDS = 90;

    /** A day. */
    private const MOST = 500;

    /** @return int how many were checked */
    public static function due(): int
    {
        $checker = LookUpService::query()->that(LookUpService::CHECKS)->first();
        if ($checker === null) {
            return 0;
        }
        $checked = $failed = 0;
        foreach (
            Channel::query()->where('type', ChannelType::Email)->where('checked_at', '<', now()->subDays(self::HOLDS))
                ->whereIn('state', [AddressState::Valid, AddressState::CatchAll, AddressState::Unknown])
                ->orderBy('checked_at')->limit(self::MOST)->get() as $channel
        ) {
            try {
                $service = Services::of($checker);
                $state = $service->check($channel->value);
                $state = $state === AddressState::Unknown ? $service->again($channel->value) : $state;
            } catch (Unreachable) {
                if (++$failed === Questions::FAILURES) {
                    break;
                }

                continue;
            }
            Together::write(function () use ($channel, $state): void {
                $channel->update(['state' => $state, 'checked_at' => now()]);
                AccountIds::markStale([(int) Contact::query()->whereKey($channel->contact_id)->value('account_id')]);
            }, $channel);
            $checked++;
        }

        return $checked;
    }
}
