/** That the server and its database answer. */
export interface Health {
  readonly ok: boolean;
}
