import * as formats from '@hosket/formats';
import { writePdf } from '@hosket/formats/pdf';
import { expose } from 'comlink';

/** All readers and writers of other formats: what they do in a thread of their own cannot hold up the page. */
const calls = { ...formats, writePdf };
export type FileCalls = typeof calls;

expose(calls);
