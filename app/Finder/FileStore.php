<?php

declare(strict_types=1);

namespace App\Finder;

use App\Support\Folder;
use Luftig\Core\Index\Store;
use RuntimeException;

/**
 * The pieces of an index in one file, with a table of where each stands. A file that is torn is known by its length.
 */
final class FileStore implements Store
{
    /** @var resource */
    private $file;

    /** @param  array<string, array{int, int}>  $table  key → offset and length */
    private function __construct(string $path, private readonly array $table)
    {
        $this->file = fopen($path, 'rb') ?: throw new RuntimeException('The index cannot be read.');
    }

    /** @return self|null null: there is none, or it is torn */
    public static function open(string $folder): ?self
    {
        $table = is_file("$folder/table.php") ? include "$folder/table.php" : null;

        return is_array($table) && is_file("$folder/pieces") && filesize("$folder/pieces") === $table['length']
            ? new self("$folder/pieces", $table['pieces'])
            : null;
    }

    /** @param  iterable<string, string>  $pieces */
    public static function write(string $folder, iterable $pieces): void
    {
        Folder::make($folder);
        $out = fopen("$folder/pieces", 'wb') ?: throw new RuntimeException('The index cannot be written.');
        $table = [];
        $offset = 0;
        foreach ($pieces as $key => $bytes) {
            fwrite($out, $bytes);
            $table[(string) $key] = [$offset, strlen($bytes)];
            $offset += strlen($bytes);
        }
        fclose($out);
        // The table last, and all at once: without it there is no index.
        file_put_contents(
            "$folder/table.new",
            '<?php return '.var_export(['length' => $offset, 'pieces' => $table], true).';',
        );
        rename("$folder/table.new", "$folder/table.php");
    }

    public function get(string $key): ?string
    {
        if (! isset($this->table[$key])) {
            return null;
        }
        [$offset, $length] = $this->table[$key];
        fseek($this->file, $offset);

        return $length === 0 ? '' : (string) stream_get_contents($this->file, $length);
    }

    public function part(string $key, int $offset, int $length): string
    {
        [$from, $whole] = $this->table[$key] ?? [0, 0];
        $length = min($length, $whole - $offset);
        if ($length <= 0) {
            return '';
        }
        fseek($this->file, $from + $offset);

        return (string) stream_get_contents($this->file, $length);
    }

    public function keys(string $prefix): array
    {
        // Asked dozens of times for a page, of thousands of keys.
        return array_map(
            strval(...), array_values(preg_grep('~^'.preg_quote($prefix, '~').'~', array_keys($this->table)) ?: []),
        );
    }
}
