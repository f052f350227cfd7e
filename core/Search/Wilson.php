<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

/** Wilson's interval of a share (1927), at 95 %. */
final class Wilson
{
    /** 95 % of a normal distribution lie within so many standard deviations. */
    public const Z = 1.959963984540054;

    /** @return array{float, float} 0–1; of none nothing is known */
    public static function interval(int $some, int $of): array
    {
        return $of === 0 ? [0.0, 1.0] : self::ofShare($some / $of, (float) $of);
    }

    /**
     * @param  float  $share  0–1
     * @param  float  $size  of the sample, above 0; it need not be whole
     * @return array{float, float}
     */
    public static function ofShare(float $share, float $size): array
    {
        $z2 = self::Z ** 2;
        $middle = $share + $z2 / (2 * $size);
        $by = self::Z * sqrt($share * (1 - $share) / $size + $z2 / (4 * $size ** 2));

        return [
            max(0.0, ($middle - $by) / (1 + $z2 / $size)), min(1.0, ($middle + $by) / (1 + $z2 / $size)),
        ];
    }
}
