import { routes, SEARCH, type SearchHit, type SearchResource } from '@iron-patch/contract';
import { askedSizes } from '@iron-patch/core/terms/quantity';
import type { Express } from 'express';
import { statements, type Pool } from '../db';
import { askedIn } from '../http';
import sql from './search.sql';

const q = statements(sql, ['words', 'sizes']);

/** Shorter words are alike to too much. */
const LEAST_ALIKE = 4;

/**
 * Finds jobs, what came apart, places, sizes that were read, notes and lessons: those that have every word, or, where nothing has, what is
 * spelt alike; and the places of which a standing reading is the size that was typed.
 */
export function mountSearch(app: Express, pool: Pool): void {
  const byWords = async (words: readonly string[], text: string, alike: boolean): Promise<SearchHit[]> =>
    (await pool.query<SearchHit>(q.words, [words, text, alike, SEARCH.most])).rows;

  app.get(routes.search, async (req, res) => {
    const text = askedIn(req, 'for').slice(0, SEARCH.length).trim().toLowerCase();
    const words = text.split(/\s+/).filter(Boolean).slice(0, SEARCH.words);
    if (!words.length) return void res.json({ hits: [], alike: false } satisfies SearchResource);
    const sizes = await Promise.all(
      askedSizes(text).map(async ({ fromMm, toMm }) => (await pool.query<SearchHit>(q.sizes, [fromMm, toMm, SEARCH.most])).rows),
    );
    const exact = await byWords(words, text, false);
    const found = [...sizes.flat(), ...exact];
    const alike = found.length === 0 && text.length >= LEAST_ALIKE;
    res.json({ hits: alike ? await byWords(words, text, true) : found, alike } satisfies SearchResource);
  });
}
