<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\FeedItem;
use App\View\Feeds\ItemPage;
use Illuminate\Contracts\View\View;

final class FeedItemController extends Controller
{
    public function show(FeedItem $item): View
    {
        return view('feeds.item', ['page' => ItemPage::of($item)]);
    }
}
