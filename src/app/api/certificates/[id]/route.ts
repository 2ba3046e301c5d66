import { fileRoute } from '@/server/file-route';
import { certificateFile } from '@/server/queries/certificates';

export const GET = fileRoute('This certificate', certificateFile, 86_400);
