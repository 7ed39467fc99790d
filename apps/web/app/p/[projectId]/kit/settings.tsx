export { SettingsPage as default } from '@/kit/SettingsPage';
