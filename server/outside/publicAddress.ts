import { lookup } from 'node:dns';
import type { LookupFunction } from 'node:net';
import ipaddr from 'ipaddr.js';

/** A name that leads to this machine or its own network, where nothing is fetched from. */
export class NotPublic extends Error {}

/**
 * Whether an address is of the public internet: not this machine, not a private or local network, not one of those that
 * stand for other addresses.
 */
export function isPublic(address: string): boolean {
  try {
    return ipaddr.process(address.replace(/^\[|\]$/g, '')).range() === 'unicast';
  } catch {
    return false;
  }
}

export const isAddress = (host: string): boolean => ipaddr.isValid(host.replace(/^\[|\]$/g, ''));

/**
 * Resolves names as usual, and refuses those of which any address is not allowed. It is asked when a connection is made,
 * so that a name cannot be pointed elsewhere between a check and the connection.
 */
export const guardedLookup =
  (isAllowed: (address: string) => boolean): LookupFunction =>
  (host, options, callback) => {
    lookup(host, { ...options, all: true }, (error, found) => {
      const refuse = (reason: Error): void => callback(reason as NodeJS.ErrnoException, '', 4);
      if (error) return refuse(error);
      const [first] = found;
      if (!first || !found.every(({ address }) => isAllowed(address))) return refuse(new NotPublic(host));
      if (options.all) callback(null, found);
      else callback(null, first.address, first.family);
    });
  };
