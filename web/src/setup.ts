import { speakLocale } from '@hosket/core';
import { setNonce } from 'get-nonce';
import { z } from 'zod';

// Before any schema is used: the security policy forbids making code from text.
z.config({ jitless: true });

speakLocale(navigator.language);

// Dialogs add a style element of their own; the server's one-time token lets it in.
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
if (nonce) setNonce(nonce);
