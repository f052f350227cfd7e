<?php

declare(strict_types=1);

namespace App\Exports;

/**
 * Signs what is sent, so that whoever is told knows by whom, and that nobody changed it on the way: HTTP Message
 * Signatures (RFC 9421) by HMAC-SHA256, over the digest of the content (RFC 9530).
 */
final class MessageSignature
{
    private const LABEL = 'luftig';

    /** @return array<string, string> headers */
    public static function of(string $address, string $type, string $body, string $secret, int $now): array
    {
        $digest = 'sha-256=:'.base64_encode(hash('sha256', $body, true)).':';
        $fields = [
            '@method' => 'POST', '@target-uri' => $address, 'content-type' => $type, 'content-digest' => $digest,
        ];
        $covers = '("'.implode('" "', array_keys($fields)).'");created='.$now.';keyid="'.self::LABEL.'"'
            .';alg="hmac-sha256"';

        return [
            'Content-Digest' => $digest, 'Signature-Input' => self::LABEL."=$covers",
            'Signature' => self::LABEL.'=:'.self::sign($fields, $covers, $secret).':',
        ];
    }

    /** @param  array<string, string>  $fields  that are signed, in their order (RFC 9421, 2.5) */
    public static function sign(array $fields, string $covers, string $secret): string
    {
        $base = '';
        foreach ($fields as $name => $value) {
            $base .= "\"$name\": $value\n";
        }

        return base64_encode(hash_hmac('sha256', "$base\"@signature-params\": $covers", $secret, true));
    }
}
