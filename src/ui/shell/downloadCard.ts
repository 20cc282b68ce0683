import type { Card } from '@/files/cards/cardPdf';
import { downloadFile } from './download';
import { told } from './told';

/** Saves a card as one page of PDF; its letters are fetched when they are needed. */
export const downloadCard = (card: Card): Promise<unknown> =>
  told('The card was not made', async () => {
    const { cardPdf } = await import('@/files/cards/cardPdf');
    downloadFile({
      name: `${card.title.replace(': ', ' ')}.pdf`,
      parts: [cardPdf(card) as Uint8Array<ArrayBuffer>],
      type: 'application/pdf',
    });
  });
