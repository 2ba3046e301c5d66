import { fileRoute } from '@/server/file-route';
import { photoFile } from '@/server/queries/photos';

export const GET = fileRoute('This picture', photoFile, 86_400);
