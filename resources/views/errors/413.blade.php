<x-plain title="That file is too large" :text="'Files up to '.config('luftig.upload_megabytes').' MB are brought in.
    Nothing was changed. Split the file into parts, and bring them one after the other.'" />
