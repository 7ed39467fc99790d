export { HardwarePage as default } from '@/kit/HardwarePage';
