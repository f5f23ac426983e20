<?php

declare(strict_types=1);

namespace App\Mail;

use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/** Stands in for a mail server: each letter becomes a file that its owner alone can read. */
final class FileTransport extends AbstractTransport
{
    public function __construct(private readonly string $folder)
    {
        parent::__construct();
    }

    public function __toString(): string
    {
        return 'file';
    }

    protected function doSend(SentMessage $message): void
    {
        if (! is_dir($this->folder)) {
            mkdir($this->folder, 0700, true);
        }
        $file = $this->folder.'/'.date('Ymd-His').'-'.bin2hex(random_bytes(6)).'.eml';
        $mask = umask(0077);
        try {
            if (file_put_contents($file, $message->toString()) === false) {
                throw new \RuntimeException('The letter could not be written.');
            }
        } finally {
            umask($mask);
        }
    }
}
