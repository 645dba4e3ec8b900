import { readAhead } from '@/features/shoot/Opening';
import { openDevice } from '@/records/device';
import 'expo-router/entry';

// What is kept is opened while the page is still being put together.
void openDevice();
readAhead();
