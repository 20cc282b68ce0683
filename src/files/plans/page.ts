import { jsPDF } from 'jspdf';
import font from '@expo-google-fonts/ibm-plex-sans/400Regular/IBMPlexSans_400Regular.ttf?inline';

/** Bytes repeat: the same design gives the same file. */
const ALWAYS = "D:20260101000000+00'00'";
const FILE_ID = '0123456789ABCDEF0123456789ABCDEF';

/** An empty document whose letters know every alphabet of the typeface; its first page is taken out by `bytesOf`. */
export function newDocument(): jsPDF {
  const pdf = new jsPDF({ unit: 'mm', format: [100, 100], compress: true });
  pdf.setCreationDate(ALWAYS);
  pdf.setFileId(FILE_ID);
  pdf.viewerPreferences({ PrintScaling: 'None' });
  pdf.addFileToVFS('plex.ttf', font.slice(font.indexOf(',') + 1));
  pdf.addFont('plex.ttf', 'plex', 'normal');
  pdf.setFont('plex');
  return pdf;
}

/** The document without the page it began with. */
export function bytesOf(pdf: jsPDF): Uint8Array {
  if (pdf.getNumberOfPages() > 1) pdf.deletePage(1);
  return new Uint8Array(pdf.output('arraybuffer'));
}
