export { gate } from './gate';
export { mountSession } from './session-routes';
export { forgetOldDevices, type SignIn } from './device';
export { signersPin } from './signers-pin';
