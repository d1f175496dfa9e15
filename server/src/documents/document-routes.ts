import { chosenReturn, dayWords, inMark, inTrueSize, itemSheet, sceneDxf, sceneSvg, seenAt, workOut } from '@iron-patch/core';
import { routes, wallTime } from '@iron-patch/contract';
import type { Express, Request, Response } from 'express';
import type { Pool } from '../db';
import { idIn, notYet } from '../http';
import { pixelsOf } from '../photos';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { deliveryNote } from './delivery-note';
import { drawingPdf } from './drawing';
import { firstArticlePaper } from './first-article';
import { outsideSlipPaper } from './outside-slip';
import { jobSlip } from './job-slip';
import { label } from './label';
import { report } from './report';

function sendFile(res: Response, name: string, type: string, body: Buffer | string): void {
  res.set('Content-Disposition', `inline; filename="${name}"`).type(type).send(body);
}

/** Clock of the shop, and the origin that a tag leads to: null to take the one that whoever prints it reached the shop by. */
export interface Printing {
  readonly timeZone: string;
  readonly origin: string | null;
}

export function mountDocuments(app: Express, pool: Pool, { timeZone, origin }: Printing): void {
  const load = async (req: Request) => {
    const sheet = await loadSheet(pool, idIn(req, 'job'));
    const shop = await loadShop(pool);
    return { sheet, shop, repair: workOut(sheet, shop) };
  };

  app.get(routes.slip(':id'), async (req, res) => {
    const { sheet, repair, shop } = await load(req);
    sendFile(res, `job-${sheet.job.number}-slip.pdf`, 'application/pdf', await jobSlip(sheet, repair, shop));
  });

  app.get(routes.label(':id'), async (req, res) => {
    const { sheet } = await load(req);
    const address = `${origin ?? `${req.protocol}://${req.get('Host') ?? 'localhost'}`}/jobs/${sheet.job.id}`;
    sendFile(res, `job-${sheet.job.number}-tag.pdf`, 'application/pdf', await label(sheet, address));
  });

  app.get(routes.firstArticle(':id'), async (req, res) => {
    const { sheet, repair, shop } = await load(req);
    sendFile(res, `job-${sheet.job.number}-first-article.pdf`, 'application/pdf', await firstArticlePaper(sheet, repair, shop, timeZone));
  });

  app.get(routes.outsideSlip(':id'), async (req, res) => {
    const { sheet, repair, shop } = await load(req);
    sendFile(res, `job-${sheet.job.number}-outside.pdf`, 'application/pdf', await outsideSlipPaper(sheet, repair, shop));
  });

  app.get(routes.report(':id'), async (req, res) => {
    const { sheet, repair, shop } = await load(req);
    const handed = chosenReturn(sheet);
    const pictures = [];
    for (const [name, id] of [
      ['Before', handed?.beforePhotoId],
      ['After', handed?.afterPhotoId],
    ] as const) {
      const jpeg = id && sheet.photos.some((p) => p.id === id) ? await pixelsOf(pool, id, 'large') : null;
      if (jpeg) pictures.push({ name, jpeg });
    }
    sendFile(res, `job-${sheet.job.number}-report.pdf`, 'application/pdf', await report(sheet, repair, shop, timeZone, pictures));
  });

  app.get(routes.deliveryNote(':id'), async (req, res) => {
    const { sheet, repair, shop } = await load(req);
    const paper = await deliveryNote(sheet, repair, shop, timeZone, wallTime(new Date(), timeZone).day);
    sendFile(res, `job-${sheet.job.number}-delivery.pdf`, 'application/pdf', paper);
  });

  app.get([routes.drawing(':id'), routes.drawingPdf(':id'), routes.drawingDxf(':id')], async (req, res) => {
    const { sheet, shop, ...of } = await load(req);
    const repair = seenAt(of.repair, typeof req.query['item'] === 'string' ? req.query['item'] : null);
    const drawing = itemSheet(sheet, repair, shop, (at) => dayWords(wallTime(at, timeZone).day));
    if (!drawing) throw notYet('There is no drawing yet.', 'Finish Draw first.');
    const write = (text: string): string => inMark(text, shop.card.decimalMark);
    const name = `job-${sheet.job.number}`;
    if (req.path.endsWith('.dxf')) sendFile(res, `${name}.dxf`, 'image/vnd.dxf', sceneDxf(inTrueSize(drawing), write));
    else if (req.path.endsWith('.pdf')) sendFile(res, `${name}-drawing.pdf`, 'application/pdf', await drawingPdf(drawing, write));
    else sendFile(res, `${name}.svg`, 'image/svg+xml', sceneSvg(drawing, write));
  });
}
