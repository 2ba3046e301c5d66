import { fileRoute } from '@/server/file-route';
import { planPicture } from '@/server/queries/plan';

export const GET = fileRoute('This picture', planPicture, 31_536_000);
