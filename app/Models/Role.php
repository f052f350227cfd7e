<?php

declare(strict_types=1);

namespace App\Models;

enum Role: string
{
    case Rep = 'rep';
    case Lead = 'lead';
    case Admin = 'admin';
}
