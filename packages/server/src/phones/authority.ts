/**
 * A certificate authority for one computer: made once, kept in the data folder, trusted by each phone once. It can vouch for
 * that computer's name and for private addresses alone (name constraints, RFC 5280, section 4.2.1.10), and only for servers.
 */
import 'reflect-metadata';

import { webcrypto, X509Certificate as NodeCertificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { AsnConvert } from '@peculiar/asn1-schema';
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509';
import {
  AuthorityKeyIdentifierExtension,
  BasicConstraintsExtension,
  cryptoProvider,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  Extension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509';

import { PRIVATE_RANGES } from './network';

cryptoProvider.set(webcrypto as never);

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
const DAY = 24 * 60 * 60_000;
const AUTHORITY_LASTS = 3_650 * DAY;
/** Short, since it is renewed by itself: half of it is gone when the next one is made. */
export const LEAF_LASTS = 30 * DAY;
/** Clocks of phones differ: a certificate counts from a little before it was made. */
const BACKDATED = DAY;

export interface Authority {
  /** The name it vouches for, such as `workshop-latch.local`. */
  name: string;
  /** PEM. */
  certificate: string;
  /** The same as bytes (DER), as a phone installs it. */
  bytes: Buffer;
  /** SHA-256 of these bytes: 64 hexadecimal digits in groups of 8. */
  fingerprint: string;
  from: Date;
  until: Date;
  key: webcrypto.CryptoKey;
}

/** A certificate with its key, both PEM. */
export interface Leaf {
  cert: string;
  key: string;
  until: number;
}

const FILES = { certificate: 'authority.pem', key: 'authority-key.pem' };

/**
 * The authority of a folder, or a new one for `name` where there is none, or where `isNew` asks for one: the one before is kept beside it.
 * Throws an error that says what to do where it has expired, is not valid yet, or can't be read.
 */
export async function openAuthority(folder: string, name: string, now: number, isNew = false): Promise<Authority> {
  const certificateFile = join(folder, FILES.certificate);
  const keyFile = join(folder, FILES.key);
  if (isNew || !existsSync(certificateFile)) {
    const made = await makeAuthority(name, now);
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    for (const file of [certificateFile, keyFile])
      if (existsSync(file))
        renameSync(file, file.replace('.pem', `-until-${new Date(now).toISOString().replaceAll(':', '-')}.pem`));
    writeFileSync(keyFile, made.key, { mode: 0o600 });
    writeFileSync(certificateFile, made.certificate);
  }
  const authority = await readAuthority(certificateFile, keyFile);
  const told = (date: Date) => date.toISOString().slice(0, 10);
  if (now < authority.from.getTime())
    throw new Error(
      `this computer’s clock says ${told(new Date(now))}, but its certificate counts from ${told(authority.from)}. Set the clock, then start again`,
    );
  if (now > authority.until.getTime())
    throw new Error(
      `the certificate authority in ${folder} expired on ${told(authority.until)}. Start once with --new-authority; each phone must then trust the new one`,
    );
  return authority;
}

async function makeAuthority(name: string, now: number): Promise<{ certificate: string; key: string }> {
  const keys = await newKeys();
  const permitted = [
    new GeneralName({ dNSName: name }),
    ...PRIVATE_RANGES.map((range) => new GeneralName({ iPAddress: range })),
  ].map((base) => new GeneralSubtree({ base, minimum: 0 }));
  const constraints = new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) });
  const certificate = await X509CertificateGenerator.createSelfSigned({
    serialNumber: serialNumber(),
    name: `CN=Yellow Latch on ${name.replace(/\.local$/u, '')}`,
    notBefore: new Date(now - BACKDATED),
    notAfter: new Date(now + AUTHORITY_LASTS),
    signingAlgorithm: ALGORITHM,
    keys,
    extensions: [
      new BasicConstraintsExtension(true, 0, true),
      new KeyUsagesExtension(KeyUsageFlags.keyCertSign, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new Extension(id_ce_nameConstraints, true, AsnConvert.serialize(constraints)),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  });
  return { certificate: certificate.toString('pem'), key: await keyAsPem(keys.privateKey) };
}

async function readAuthority(certificateFile: string, keyFile: string): Promise<Authority> {
  try {
    const certificate = readFileSync(certificateFile, 'utf8');
    const read = new X509Certificate(certificate);
    const [pkcs8] = PemConverter.decode(readFileSync(keyFile, 'utf8'));
    const key = await webcrypto.subtle.importKey('pkcs8', pkcs8!, ALGORITHM, false, ['sign']);
    const { raw, fingerprint256 } = new NodeCertificate(certificate);
    return {
      name: nameIn(read),
      certificate,
      bytes: raw,
      fingerprint: fingerprint256.replaceAll(':', '').match(/.{8}/gu)!.join(' '),
      from: read.notBefore,
      until: read.notAfter,
      key,
    };
  } catch (error) {
    throw new Error(
      `the certificate authority in ${certificateFile} can’t be read (${(error as Error).message}). Put the file back, or start once with --new-authority`,
      { cause: error },
    );
  }
}

/** The name that an authority may vouch for. */
function nameIn(certificate: X509Certificate): string {
  const constraints = AsnConvert.parse(certificate.getExtension(id_ce_nameConstraints)!.value, NameConstraints);
  return constraints.permittedSubtrees!.map(({ base }) => base.dNSName).find((name) => name !== undefined)!;
}

/** A certificate for a server at these addresses, and at the authority’s name. It counts from now to `LEAF_LASTS`, or as long as the authority does. */
export async function makeLeaf(authority: Authority, addresses: readonly string[], now: number): Promise<Leaf> {
  const keys = await newKeys();
  const issuer = new X509Certificate(authority.certificate);
  const until = Math.min(now + LEAF_LASTS, authority.until.getTime());
  const certificate = await X509CertificateGenerator.create({
    serialNumber: serialNumber(),
    subject: `CN=${authority.name}`,
    issuer: issuer.subject,
    notBefore: new Date(Math.max(now - BACKDATED, authority.from.getTime())),
    notAfter: new Date(until),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey,
    signingKey: authority.key,
    extensions: [
      new BasicConstraintsExtension(false, undefined, true),
      new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
      new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
      new SubjectAlternativeNameExtension([
        { type: 'dns', value: authority.name },
        ...addresses.map((value) => ({ type: 'ip', value }) as const),
      ]),
      await SubjectKeyIdentifierExtension.create(keys.publicKey),
      await AuthorityKeyIdentifierExtension.create(issuer),
    ],
  });
  return { cert: certificate.toString('pem'), key: await keyAsPem(keys.privateKey), until };
}

function newKeys(): Promise<webcrypto.CryptoKeyPair> {
  return webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
}

async function keyAsPem(key: webcrypto.CryptoKey): Promise<string> {
  return PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
}

/** 127 random bits: positive, and more than the 64 that are asked for (CA/Browser Forum, from memory). */
function serialNumber(): string {
  const bytes = webcrypto.getRandomValues(new Uint8Array(16));
  bytes[0]! &= 0x7f;
  return Buffer.from(bytes).toString('hex');
}
