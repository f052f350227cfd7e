<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Luftig\Core\Signal\Aboutness;

/**
 * That an item may be about an account.
 *
 * @property int $id
 * @property int $feed_item_id
 * @property int $account_id
 * @property float $confidence
 * @property string $because
 * @property bool $in_title
 * @property Aboutness $verdict
 * @property int|null $decided_by
 * @property-read FeedItem $item
 * @property-read Account $account
 */
final class Mention extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['verdict' => Aboutness::class, 'in_title' => 'boolean'];

    /** @return BelongsTo<FeedItem, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(FeedItem::class, 'feed_item_id');
    }

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }
}
