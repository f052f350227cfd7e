<?php

return [
    /* Tokens only: no other site's pages speak to it, and a session is none of its business. */
    'stateful' => [],
    'guard' => [],
    'routes' => false,
    'expiration' => null,
    'token_prefix' => 'luftig_',
];
