import { BadRequestException, HttpException } from '@nestjs/common';
import { hash, verify } from '@node-rs/argon2';
import { Turns } from '../common/turns.ts';

/** Hashes computed at once, so that the threads the server reads files with are never all at it, and how many may wait. */
const AT_ONCE = 2;
const WAITING = 60;
const turns = new Turns(AT_ONCE);

/** Fewest letters of a password that is chosen. */
export const SHORTEST = 10;

const inTurn = async <T>(work: () => Promise<T>): Promise<T> => {
  const turn = turns.take('hash', WAITING);
  if (!turn)
    throw new HttpException(
      { code: 'busy', message: 'Many people sign in at this moment. Wait a few seconds, then try again.' },
      503,
    );
  const end = await turn;
  try {
    return await work();
  } finally {
    end();
  }
};

/** Hashes a password as sign-in expects it. */
export const hashPassword = (password: string): Promise<string> => inTurn(() => hash(password));

/** Compared against when a login is unknown, so that both answers take as long. */
const NOBODY = '$argon2id$v=19$m=19456,t=2,p=1$AAAAAAAAAAAAAAAAAAAAAA$FZb8uLiy4Mi6ILKzWaJmjXEJcHpYJfcsvMd5pTvM1uo';

/** Whether a password is the one of a hash; takes as long where there is none. */
export const isPassword = (kept: string | null | undefined, password: string): Promise<boolean> =>
  inTurn(() => verify(kept ?? NOBODY, password).catch(() => false));

/**
 * Refuses passwords that are guessed first.
 * @throws BadRequestException saying what would do
 */
export const checkPassword = (password: string, login: string): void => {
  const refuse = (why: string): never => {
    throw new BadRequestException({ code: 'weak-password', message: why });
  };
  if (password.length < SHORTEST) refuse(`A password needs at least ${SHORTEST} letters; four plain words are best.`);
  if (password.toLowerCase().includes(login.toLowerCase())) refuse('The login may not be part of the password.');
  if (new Set(password).size < 5) refuse('That is too few different letters: use four plain words.');
};
