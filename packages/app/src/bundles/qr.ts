/** What draws QR codes, which only the pages that hand something over need. */
export { QrCode } from '@/look/QrCode';
