import { speakLocale } from '@hosket/core';
import { z } from 'zod';

// Before any schema is used: the security policy forbids making code from text.
z.config({ jitless: true });

// A worker writes numbers and days as its page does.
speakLocale(navigator.language);
