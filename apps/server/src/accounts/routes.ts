import { accountsProblems as say } from '@cordel/text/server/accounts';
import { Problem } from '../http/problem.ts';
import { router } from '../http/router.ts';
import type { Accounts } from './accounts.ts';
import { auditRoutes } from './routes/audit.ts';
import { deviceRoutes } from './routes/devices.ts';
import { invitationRoutes } from './routes/invitations.ts';
import { memberRoutes } from './routes/members.ts';
import { passkeyRoutes } from './routes/passkeys.ts';
import { peopleRoutes } from './routes/people.ts';
import { receiptRoutes } from './routes/receipts.ts';
import { sessionRoutes } from './routes/session.ts';

/** @param kept null where nobody signs in on this server: what needs accounts is refused */
export function accountRoutes(kept: Accounts | null) {
  /** @throws Problem 401 where nobody signs in on this server */
  const accountsOf = (): Accounts => {
    if (kept) return kept;
    throw new Problem(401, say('noAccounts'));
  };
  return router()
    .route('/', sessionRoutes(kept, accountsOf))
    .route('/', passkeyRoutes(accountsOf))
    .route('/', deviceRoutes)
    .route('/', peopleRoutes)
    .route('/', invitationRoutes(accountsOf))
    .route('/', memberRoutes)
    .route('/', receiptRoutes)
    .route('/', auditRoutes);
}
