export { FieldStep as default } from '@/features/field/FieldStep';
