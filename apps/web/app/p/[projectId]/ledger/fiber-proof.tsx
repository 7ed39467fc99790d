export { FiberProofPage as default } from '@/fiberProof/FiberProofPage';
