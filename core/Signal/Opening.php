<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** The role behind one or several postings. */
final readonly class Opening
{
    /**
     * @param  non-empty-list<Posting>  $postings  the oldest first
     * @param  float  $counts  1, ½ or 0: how much it counts for the role of interest (rule 2)
     */
    public function __construct(public array $postings, public float $counts)
    {
    }

    /** @return string|null what it is known by to be an agency's */
    public function agency(): ?string
    {
        foreach ($this->postings as $posting) {
            if ($posting->agency !== null) {
                return $posting->agency;
            }
        }

        return null;
    }

    public function newest(): Posting
    {
        return $this->postings[count($this->postings) - 1];
    }
}
