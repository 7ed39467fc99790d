import { z } from '@hono/zod-openapi';
import { issue } from '@cordel/core';
import { PASSWORD_LENGTH } from '../auth.ts';

export const emailSchema = z.email({ error: issue('notEmail') }).max(120);
export const passwordSchema = z
  .string()
  .min(PASSWORD_LENGTH.least, issue('passwordTooShort'))
  .max(PASSWORD_LENGTH.most, issue('passwordTooLong'));
