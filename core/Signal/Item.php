<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Company\Domain;

/** What a feed brings: a headline, a text, and the addresses that stand in it. */
final readonly class Item
{
    /** Web and e-mail addresses within a text. */
    private const ADDRESS = '~(?:https?://[^\s<>"]+|[\w.+-]+@[\w-]+(?:\.[\w-]+)+|\bwww\.[\w-]+(?:\.[\w-]+)+)~u';

    /** @var array<string, true> the domains of companies that stand in it */
    public array $domains;

    /**
     * @param  list<string>  $links
     * @param  list<string>  $emails
     */
    public function __construct(
        public string $title,
        public string $text = '',
        public array $links = [],
        array $emails = [],
    ) {
        preg_match_all(self::ADDRESS, $text, $found);
        $domains = [];
        foreach ([...$links, ...$emails, ...$found[0]] as $address) {
            $domain = Domain::from(rtrim($address, '.,;:!?)'));
            if ($domain !== null && ! $domain->freeMail) {
                $domains[$domain->name] = true;
            }
        }
        $this->domains = $domains;
    }
}
