import { HttpBackend, HttpXhrBackend } from '@angular/common/http';
import { provideZonelessChangeDetection } from '@angular/core';
import { HTTP } from '../app/data/http';

/** What every test of the web side runs on: no zone, and the client with its interceptors over whatever answers `fetch`. */
export const BASE = [provideZonelessChangeDetection(), HTTP, { provide: HttpXhrBackend, useExisting: HttpBackend }];
