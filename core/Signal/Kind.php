<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** What sort of thing happened (rule 2, the catalogue). */
enum Kind: string
{
    case Funding = 'funding';
    case Hiring = 'hiring';
    case Growth = 'growth';
    case Decline = 'decline';
    case NewLeader = 'new_leader';
    case Promotion = 'promotion';
    case CustomerAlum = 'customer_alum';
    case LeadershipChange = 'leadership_change';
    case TechAdopted = 'tech_adopted';
    case TechDropped = 'tech_dropped';
    case PostEngagement = 'post_engagement';
    case OwnEngagement = 'own_engagement';
    case TopicInterest = 'topic_interest';
    case News = 'news';
    case Expansion = 'expansion';
    case HiringFreeze = 'hiring_freeze';
    case RivalSigned = 'rival_signed';

    /** Re-dated while it lasts, so that its age since it began lowers its novelty (rule 3). */
    public function lasts(): bool
    {
        return match ($this) {
            self::Hiring, self::Growth, self::Decline => true,
            default => false,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Funding => 'funding',
            self::Hiring => 'hiring',
            self::Growth => 'growth',
            self::Decline => 'decline',
            self::NewLeader => 'new leader',
            self::Promotion => 'promotion',
            self::CustomerAlum => 'came from a customer',
            self::LeadershipChange => 'leadership change',
            self::TechAdopted => 'technology adopted',
            self::TechDropped => 'technology dropped',
            self::PostEngagement => 'engaged with a post',
            self::OwnEngagement => 'engaged with us',
            self::TopicInterest => 'interest in a topic',
            self::News => 'news',
            self::Expansion => 'expansion',
            self::HiringFreeze => 'hiring stop',
            self::RivalSigned => 'signed with a competitor',
        };
    }

    /** Something that one person did, which says little of others at the account (rule 8). */
    public function isEngagement(): bool
    {
        return $this === self::PostEngagement || $this === self::OwnEngagement;
    }

    /** Whether the person concerned would expect us to know of it, so that words may mention it (rule 19). */
    public function mayBeQuoted(): bool
    {
        return $this !== self::TopicInterest && $this !== self::OwnEngagement;
    }
}
