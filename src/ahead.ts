import { demoShoots } from '@/demo/seed';
import { readAhead } from '@/features/shoot/Opening';
import { openDevice } from '@/records/device';
import { readListAhead } from '@/records/list-queries';

// What is kept is opened, and what the page opens on is read, before the app itself is put together.
void openDevice();
readAhead();
readListAhead(demoShoots);
