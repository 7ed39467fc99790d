// Written by `npm run api` from the routes of the server: change those.

export interface paths {
    "/api/session": {
        parameters: {
        };
        /** Who is signed in on this device, and what they may do where */
        get: {
            parameters: {
            };
            responses: {
                /** @description The session */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            accounts: boolean;
                            person: {
                                id: string;
                                name: string;
                                email: string;
                                ownsServer: boolean;
                            } | null;
                            /** @enum {string|null} */
                            why: "signedOut" | "lockedOut" | "otherDevice" | "otherPerson" | null;
                            here: {
                                id: string;
                                name: string;
                                hasPin: boolean;
                            }[];
                            roles: {
                                [key: string]: "owner" | "lead" | "technician" | "inspector" | "reader";
                            };
                            proof?: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /** Sign in by e-mail and password */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: email */
                        email: string;
                        password: string;
                    };
                };
            };
            responses: {
                /** @description The session */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            accounts: boolean;
                            person: {
                                id: string;
                                name: string;
                                email: string;
                                ownsServer: boolean;
                            } | null;
                            /** @enum {string|null} */
                            why: "signedOut" | "lockedOut" | "otherDevice" | "otherPerson" | null;
                            here: {
                                id: string;
                                name: string;
                                hasPin: boolean;
                            }[];
                            roles: {
                                [key: string]: "owner" | "lead" | "technician" | "inspector" | "reader";
                            };
                            proof?: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /** Sign out of this device */
        delete: {
            parameters: {
            };
            responses: {
                /** @description Signed out */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/person": {
        parameters: {
        };
        /** Take one’s turn on a device that several people share, by PIN */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        personId: string;
                        pin: string;
                    };
                };
            };
            responses: {
                /** @description The session */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            accounts: boolean;
                            person: {
                                id: string;
                                name: string;
                                email: string;
                                ownsServer: boolean;
                            } | null;
                            /** @enum {string|null} */
                            why: "signedOut" | "lockedOut" | "otherDevice" | "otherPerson" | null;
                            here: {
                                id: string;
                                name: string;
                                hasPin: boolean;
                            }[];
                            roles: {
                                [key: string]: "owner" | "lead" | "technician" | "inspector" | "reader";
                            };
                            proof?: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/confirm": {
        parameters: {
        };
        /** Type one’s PIN or password again, to sign records for some minutes */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        pin: string;
                    } | {
                        password: string;
                    };
                };
            };
            responses: {
                /** @description Confirmed */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/pin": {
        parameters: {
        };
        /** Set one’s PIN, or take it away */
        put: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        pin: string | null;
                    };
                };
            };
            responses: {
                /** @description Set */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/password": {
        parameters: {
        };
        /** Change one’s password; all other sessions of the person end */
        put: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        current: string;
                        next: string;
                    };
                };
            };
            responses: {
                /** @description Changed */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/passkeys": {
        parameters: {
        };
        /** One’s passkeys */
        get: {
            parameters: {
            };
            responses: {
                /** @description The passkeys */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                            name: string;
                            since: string;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /** Add a passkey */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        name: string;
                        response: {
                            [key: string]: unknown;
                        };
                    };
                };
            };
            responses: {
                /** @description Added */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/passkeys/begin": {
        parameters: {
        };
        /** Begin to add a passkey: what the browser is asked */
        post: {
            parameters: {
            };
            responses: {
                /** @description Options for the browser */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            [key: string]: unknown;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/passkeys/{passkeyId}": {
        parameters: {
        };
        /** Remove a passkey of one’s own */
        delete: {
            parameters: {
                path: {
                    passkeyId: string;
                };
            };
            responses: {
                /** @description Removed */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/passkey/begin": {
        parameters: {
        };
        /** Begin to sign in by passkey: what the browser is asked */
        post: {
            parameters: {
            };
            responses: {
                /** @description Options for the browser */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            [key: string]: unknown;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/session/passkey": {
        parameters: {
        };
        /** Sign in by passkey */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        response: {
                            [key: string]: unknown;
                        };
                    };
                };
            };
            responses: {
                /** @description The session */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            accounts: boolean;
                            person: {
                                id: string;
                                name: string;
                                email: string;
                                ownsServer: boolean;
                            } | null;
                            /** @enum {string|null} */
                            why: "signedOut" | "lockedOut" | "otherDevice" | "otherPerson" | null;
                            here: {
                                id: string;
                                name: string;
                                hasPin: boolean;
                            }[];
                            roles: {
                                [key: string]: "owner" | "lead" | "technician" | "inspector" | "reader";
                            };
                            proof?: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/sessions": {
        parameters: {
        };
        /** Where one is signed in */
        get: {
            parameters: {
            };
            responses: {
                /** @description The sessions, the newest first */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                            deviceId: string;
                            device: string;
                            since: string;
                            until: string;
                            current: boolean;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/sessions/{sessionId}": {
        parameters: {
        };
        /** End a session of one’s own */
        delete: {
            parameters: {
                path: {
                    sessionId: string;
                };
            };
            responses: {
                /** @description Ended */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/devices/{deviceId}/lock-out": {
        parameters: {
        };
        /**
         * Lock out a device that was lost: everybody is signed out of it
         * @description By whoever is signed in on it, or the owner of the server. What was recorded on it before is taken if it comes, and marked.
         */
        post: {
            parameters: {
                path: {
                    deviceId: string;
                };
            };
            responses: {
                /** @description Locked out */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/people": {
        parameters: {
        };
        /** Everybody who has an account, and their devices */
        get: {
            parameters: {
            };
            responses: {
                /** @description The people */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                            name: string;
                            email: string;
                            ownsServer: boolean;
                            devices: {
                                id: string;
                                name: string;
                                lockedOut: boolean;
                                since: string;
                            }[];
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/people/{personId}/password-link": {
        parameters: {
        };
        /** A link by which a person sets their password anew: it works once, for a day */
        post: {
            parameters: {
                path: {
                    personId: string;
                };
            };
            responses: {
                /** @description The link’s secret */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            secret: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/invitations/look": {
        parameters: {
        };
        /** What a link is for */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        secret: string;
                    };
                };
            };
            responses: {
                /** @description The invitation */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            project: string | null;
                            /** @enum {string} */
                            role: "owner" | "lead" | "technician" | "inspector" | "reader";
                            note: string;
                            invitedBy: string | null;
                            setsPassword: boolean;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/invitations/accept": {
        parameters: {
        };
        /** Join by a link: as somebody new, as whoever is signed in, or with a new password */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        secret: string;
                        person: {
                            name: string;
                            /** Format: email */
                            email: string;
                            password: string;
                        } | null;
                        /** @default null */
                        password?: string | null;
                    };
                };
            };
            responses: {
                /** @description The session */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            accounts: boolean;
                            person: {
                                id: string;
                                name: string;
                                email: string;
                                ownsServer: boolean;
                            } | null;
                            /** @enum {string|null} */
                            why: "signedOut" | "lockedOut" | "otherDevice" | "otherPerson" | null;
                            here: {
                                id: string;
                                name: string;
                                hasPin: boolean;
                            }[];
                            roles: {
                                [key: string]: "owner" | "lead" | "technician" | "inspector" | "reader";
                            };
                            proof?: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/invitations": {
        parameters: {
        };
        /**
         * A link by which somebody joins a project: it works once
         * @description A lead invites technicians, inspectors and readers; the owner everybody.
         */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        /** @enum {string} */
                        role: "owner" | "lead" | "technician" | "inspector" | "reader";
                        /** @default  */
                        note?: string;
                        /** @default 7 */
                        days?: number;
                    };
                };
            };
            responses: {
                /** @description The link’s secret: it is told this once */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            secret: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/invitations/{invitationId}": {
        parameters: {
        };
        /** Take a link back */
        delete: {
            parameters: {
                path: {
                    projectId: string;
                    invitationId: string;
                };
            };
            responses: {
                /** @description Taken back */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/members": {
        parameters: {
        };
        /** Who is in a project, and the links that still hold */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The members */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            members: {
                                id: string;
                                name: string;
                                /** @enum {string} */
                                role: "owner" | "lead" | "technician" | "inspector" | "reader";
                                since: string;
                            }[];
                            invitations: {
                                id: string;
                                /** @enum {string} */
                                role: "owner" | "lead" | "technician" | "inspector" | "reader";
                                note: string;
                                by: string;
                                until: string;
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/members/{personId}": {
        parameters: {
        };
        /** Change what a person is in a project; null takes them out of it */
        put: {
            parameters: {
                path: {
                    projectId: string;
                    personId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** @enum {string|null} */
                        role: "owner" | "lead" | "technician" | "inspector" | "reader" | null;
                    };
                };
            };
            responses: {
                /** @description Changed */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/receipts/known": {
        parameters: {
        };
        /**
         * Which of some entries are here already, of projects that may be read
         * @description For work that was passed on from phone to phone: whoever made it may have sent it.
         */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        ids: string[];
                    };
                };
            };
            responses: {
                /** @description Those that are here */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            ids: string[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/audit": {
        parameters: {
        };
        /** Who did what to a project besides recording, the newest first */
        get: {
            parameters: {
                query?: {
                    before?: number;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The trail */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            seq: number;
                            at: string;
                            code: string;
                            parameters: {
                                [key: string]: unknown;
                            };
                            person: string | null;
                            project: string | null;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/audit": {
        parameters: {
        };
        /** The same of the whole server, sign-ins too */
        get: {
            parameters: {
                query?: {
                    before?: number;
                };
            };
            responses: {
                /** @description The trail */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            seq: number;
                            at: string;
                            code: string;
                            parameters: {
                                [key: string]: unknown;
                            };
                            person: string | null;
                            project: string | null;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/backup/keys": {
        parameters: {
        };
        /**
         * The keys that a backup leaves out: what the server signs checkpoints with
         * @description Whoever has them can sign as this server: keep them apart from the backup.
         */
        get: {
            parameters: {
            };
            responses: {
                /** @description The keys */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** @enum {string} */
                            format: "cordel keys";
                            checkpoints: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/backup": {
        parameters: {
        };
        /** Everything that the server has, as one moment had it: lines of JSON, gzipped */
        get: {
            parameters: {
            };
            responses: {
                /** @description The backup */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/gzip": string;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/chain": {
        parameters: {
        };
        /**
         * Whether the record is what was recorded: its chain of hashes, and what the server signed
         * @description Every entry is a link: SHA-256 over its digest and the link before it. Checkpoints are signed with the server’s key (Ed25519). What is new is chained first.
         */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The check */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            links: number;
                            checkpoint: {
                                projectId: string;
                                number: number;
                                hash: string;
                                at: string;
                                publicKey: string;
                                signature: string;
                            } | null;
                            problems: ({
                                /** @enum {string} */
                                code: "entryChanged";
                                number: number;
                                /** @enum {string} */
                                kind: "attempt" | "reading" | "inspection" | "ruling" | "closing" | "photo" | "trace" | "tracePlace" | "setAside" | "instrumentLog" | "link";
                                entryId: string;
                            } | {
                                /** @enum {string} */
                                code: "entryMissing";
                                number: number;
                                /** @enum {string} */
                                kind: "attempt" | "reading" | "inspection" | "ruling" | "closing" | "photo" | "trace" | "tracePlace" | "setAside" | "instrumentLog" | "link";
                                entryId: string;
                            } | {
                                /** @enum {string} */
                                code: "linkBroken";
                                number: number;
                            } | {
                                /** @enum {string} */
                                code: "linkMissing";
                                number: number;
                            } | {
                                /** @enum {string} */
                                code: "checkpointDiffers";
                                number: number;
                            } | {
                                /** @enum {string} */
                                code: "chainCutShort";
                                number: number;
                            } | {
                                /** @enum {string} */
                                code: "signatureWrong";
                                number: number;
                            })[];
                            problemCount: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/conflicts": {
        parameters: {
        };
        /**
         * What two people did at the same time without knowing of each other
         * @description Both entries stay. Two attempts are decided by taking one back, a point of the closing list by looking again; two signatures need no decision. Of a splice that was made while the plan dropped it, `decision` says what counts.
         */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The conflicts, two hundred of each kind at most */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** @enum {string} */
                            kind: "attempt" | "point" | "sign" | "plan";
                            closureId: string;
                            spliceId: string | null;
                            what: string | null;
                            sides: [
                                {
                                    entryId: string;
                                    by: string;
                                    at: string;
                                    receivedAt: string;
                                    estimateMdb: number | null;
                                    verdict: string | null;
                                },
                                {
                                    entryId: string;
                                    by: string;
                                    at: string;
                                    receivedAt: string;
                                    estimateMdb: number | null;
                                    verdict: string | null;
                                }
                            ];
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/dropped-splices/{spliceId}/decision": {
        parameters: {
        };
        /**
         * Decides of a splice that was made while a changed plan dropped it
         * @description `splice`: it goes back into the plan with what was recorded of it. `plan`: it is removed, with what was recorded of it.
         */
        post: {
            parameters: {
                path: {
                    projectId: string;
                    spliceId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        /** @enum {string} */
                        keeps: "splice" | "plan";
                        by: string;
                        /** Format: date-time */
                        at: string;
                        why: string;
                    };
                };
            };
            responses: {
                /** @description It is decided */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/clock-corrections": {
        parameters: {
        };
        /**
         * Entries of devices whose clock was wrong
         * @description They are recorded by the server’s clock; what the device said is kept beside them. A client says in `x-cordel-clock` what its own clock shows.
         */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description By person, day and error, the newest first, two hundred at most */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            by: string;
                            offS: number;
                            entries: number;
                            from: string;
                            to: string;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects": {
        parameters: {
        };
        /** All projects, the newest first */
        get: {
            parameters: {
            };
            responses: {
                /** @description The projects, and whether each is out of the way */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** Format: uuid */
                            id: string;
                            name: string;
                            /** @default false */
                            practiceOnly: boolean;
                            units: components["schemas"]["Units"];
                            schemeId: string;
                            limits: components["schemas"]["Limits"];
                            trayCapacity: {
                                single: number;
                                mass: number;
                            };
                            /**
                             * @default {
                             *       "tubeTool": "scorer",
                             *       "gel": "at once",
                             *       "trayFiber": 10000,
                             *       "redos": 3,
                             *       "redoConsumption": 400,
                             *       "redoPercent": 5,
                             *       "arc": {
                             *         "when": "both",
                             *         "arcs125": 300,
                             *         "arcs400": 50,
                             *         "temperature": 10,
                             *         "humidity": 30,
                             *         "pressure": 5,
                             *         "streak": 3,
                             *         "idleDays": 14
                             *       },
                             *       "adhesiveWait": 60,
                             *       "workingLength": "mark 30 mm",
                             *       "noTension": null,
                             *       "dropEnd": "splice-on",
                             *       "signers": "one or two",
                             *       "leakLimit": 100
                             *     }
                             */
                            practice: {
                                /** @enum {string} */
                                tubeTool: "scorer" | "stripper";
                                /** @enum {string} */
                                gel: "at once" | "after grouping";
                                trayFiber: number;
                                redos: number;
                                redoConsumption: number;
                                redoPercent: number;
                                /**
                                 * @default {
                                 *       "when": "both",
                                 *       "arcs125": 300,
                                 *       "arcs400": 50,
                                 *       "temperature": 10,
                                 *       "humidity": 30,
                                 *       "pressure": 5,
                                 *       "streak": 3,
                                 *       "idleDays": 14
                                 *     }
                                 */
                                arc: {
                                    /** @enum {string} */
                                    when: "session" | "triggers" | "both";
                                    arcs125: number;
                                    arcs400: number;
                                    temperature: number;
                                    humidity: number;
                                    pressure: number;
                                    streak: number;
                                    idleDays: number;
                                };
                                /** @default 60 */
                                adhesiveWait: number;
                                /**
                                 * @default mark 30 mm
                                 * @enum {string}
                                 */
                                workingLength: "mark 30 mm" | "past the holder";
                                /** @default null */
                                noTension: string | null;
                                /**
                                 * @default splice-on
                                 * @enum {string}
                                 */
                                dropEnd: "splice-on" | "pigtail" | "mechanical";
                                /**
                                 * @default one or two
                                 * @enum {string}
                                 */
                                signers: "one or two" | "two people";
                                /** @default 100 */
                                leakLimit: number;
                            };
                            /**
                             * @default {
                             *       "glass": [
                             *         {
                             *           "wavelengthNm": 1310,
                             *           "usual": 340,
                             *           "spread": 10,
                             *           "most": 400
                             *         },
                             *         {
                             *           "wavelengthNm": 1550,
                             *           "usual": 200,
                             *           "spread": 8,
                             *           "most": 300
                             *         },
                             *         {
                             *           "wavelengthNm": 1625,
                             *           "usual": 230,
                             *           "spread": 12,
                             *           "most": 400
                             *         }
                             *       ],
                             *       "splice": {
                             *         "usual": 40,
                             *         "spread": 30,
                             *         "most": 300
                             *       },
                             *       "connector": {
                             *         "usual": 250,
                             *         "spread": 120,
                             *         "most": 750
                             *       },
                             *       "connectors": 2,
                             *       "most": null
                             *     }
                             */
                            budget: {
                                glass: {
                                    usual: number;
                                    spread: number;
                                    most: number;
                                    wavelengthNm: number;
                                }[];
                                splice: {
                                    usual: number;
                                    spread: number;
                                    most: number;
                                };
                                connector: {
                                    usual: number;
                                    spread: number;
                                    most: number;
                                };
                                connectors: number;
                                most: number | null;
                            };
                            /** @default [] */
                            route: {
                                name: string;
                                points: [
                                    number,
                                    number
                                ][];
                            }[];
                            /** Format: date-time */
                            createdAt: string;
                            archived: boolean;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}": {
        parameters: {
        };
        /** A project with its cables, closures, color schemes, hardware and what meets in its closures */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The project */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            project: components["schemas"]["Project"];
                            cables: components["schemas"]["Cable"][];
                            closures: components["schemas"]["Closure"][];
                            schemes: components["schemas"]["ColourScheme"][];
                            hardware: components["schemas"]["Hardware"][];
                            assemblies: components["schemas"]["Assembly"][];
                            archived: string[];
                            cursor: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /** Add a project or change its settings */
        put: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["Project"] & {
                        base?: components["schemas"]["Project"];
                    };
                };
            };
            responses: {
                /** @description Saved */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/schemes": {
        parameters: {
        };
        /** Color schemes: those that ship and the users’ own */
        get: {
            parameters: {
            };
            responses: {
                /** @description The schemes */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["ColourScheme"][];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/schemes/{schemeId}": {
        parameters: {
        };
        /** Add a color scheme of your own, or change it */
        put: {
            parameters: {
                path: {
                    schemeId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ColourScheme"] & {
                        base?: components["schemas"]["ColourScheme"];
                    };
                };
            };
            responses: {
                /** @description Saved */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/limits": {
        parameters: {
        };
        /** Limits that ship, each with its source */
        get: {
            parameters: {
            };
            responses: {
                /** @description The limits */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Limits"][];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/cables/{cableId}": {
        parameters: {
        };
        /** Add a cable or change its name, make-up or color scheme */
        put: {
            parameters: {
                path: {
                    cableId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["Cable"] & {
                        base?: components["schemas"]["Cable"];
                    };
                };
            };
            responses: {
                /** @description Saved */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/closures/{closureId}": {
        parameters: {
        };
        /** Add a closure or change its name, place or trays */
        put: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["Closure"] & {
                        base?: components["schemas"]["Closure"];
                    };
                };
            };
            responses: {
                /** @description Saved */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/closures/{closureId}/work": {
        parameters: {
        };
        /** A closure as the Bench needs it: its splices, those that were removed, and all their evidence in recorded order */
        get: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            responses: {
                /** @description The closure */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            closure: components["schemas"]["Closure"];
                            splices: components["schemas"]["Splice"][];
                            retired: components["schemas"]["Splice"][];
                            evidence: components["schemas"]["Evidence"][];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/take-along": {
        parameters: {
        };
        /**
         * Closures with all that work there needs: a line of JSON each, for work without signal
         * @description Each line has what /work, /closing (without its digest) and /plan of the closure answer, under these names.
         */
        get: {
            parameters: {
                query?: {
                    closures?: string;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The closures */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/x-ndjson": string;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/geojson": {
        parameters: {
        };
        /**
         * Import a route and closures as GeoJSON, all or nothing
         * @description Closures are found by their names; distances are along the line, on the ellipsoid. The same import sent again changes nothing.
         */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        importId: string;
                        text: string;
                        /** @default false */
                        swap?: boolean;
                        /** @default 0 */
                        start?: number;
                        /** @default [] */
                        sameNames?: {
                            written: string;
                            meant: string;
                        }[];
                    };
                };
            };
            responses: {
                /** @description What came of it */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            lines: number;
                            placed: number;
                            added: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/closures/{closureId}/closing": {
        parameters: {
        };
        /** What was done to close a closure, and what it is signed with */
        get: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            responses: {
                /** @description The closing */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            entries: components["schemas"]["ClosingEntry"][];
                            photos: {
                                /** Format: uuid */
                                id: string;
                                /** Format: uuid */
                                closureId: string;
                                by: string;
                                /** Format: date-time */
                                at: string;
                                width: number;
                                height: number;
                                digest: string;
                            }[];
                            plan: {
                                /** Format: uuid */
                                closureId: string;
                                text: string;
                                pins: {
                                    cable: string;
                                    unit: number;
                                    tray: number;
                                }[];
                                spare: number;
                            } | null;
                            digest: string;
                            signed: {
                                digest: string;
                                whole: boolean;
                                changes: components["schemas"]["RecordChange"][];
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /**
         * Append what was done at a closure, all or nothing
         * @description Ids are made by the client: the same entries sent again change nothing.
         */
        post: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: components["schemas"]["ClosingEntry"][];
                    };
                };
            };
            responses: {
                /** @description Appended */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/closures/{closureId}/simulated-gauge": {
        parameters: {
        };
        /**
         * Run the simulated gauge of a pressure test on by some minutes
         * @description In practice projects only. The same id sent again is the same readings.
         */
        post: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        /** Format: uuid */
                        roundId: string;
                        /** @enum {string} */
                        condition: "tight" | "tight, cooling" | "leaks" | "leaks, warming";
                        by: string;
                    };
                };
            };
            responses: {
                /** @description Appended */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/closures/{closureId}/record.json": {
        parameters: {
        };
        /** A closure’s record as it stands, as a signature would stand under it */
        get: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            responses: {
                /** @description The record */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            [key: string]: unknown;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/photos": {
        parameters: {
        };
        /** Keep a photo with a closure’s record */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        /** Format: uuid */
                        closureId: string;
                        by: string;
                        /** Format: date-time */
                        at: string;
                        width: number;
                        height: number;
                        bytes?: string;
                        file?: {
                            digest: string;
                            size: number;
                        };
                    };
                };
            };
            responses: {
                /** @description Kept */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/photos/{photoId}": {
        parameters: {
        };
        /** A photo */
        get: {
            parameters: {
                path: {
                    photoId: string;
                };
            };
            responses: {
                /** @description The picture */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "image/jpeg": string;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/codes/{code}": {
        parameters: {
        };
        /** The closure that a label’s code names */
        get: {
            parameters: {
                path: {
                    code: string;
                };
            };
            responses: {
                /** @description The closure */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            code: string;
                            closures: {
                                /** Format: uuid */
                                projectId: string;
                                project: string;
                                /** Format: uuid */
                                closureId: string;
                                name: string;
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/closures/{closureId}/plan": {
        parameters: {
        };
        /** The splice plan of a closure, and which of its splices are made already */
        get: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            responses: {
                /** @description The plan */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** Format: uuid */
                            closureId: string;
                            text: string;
                            pins: {
                                cable: string;
                                unit: number;
                                tray: number;
                            }[];
                            spare: number;
                            worked: string[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /**
         * Carry out a splice plan, all of it or nothing
         * @description Splices follow from the lines. One that has evidence is neither dropped nor moved; where `retire` says who cut it away and why, it is retired, and stays with all that is recorded of it. The same write sent again changes nothing.
         */
        put: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        closureId: string;
                        text: string;
                        pins: {
                            cable: string;
                            unit: number;
                            tray: number;
                        }[];
                        spare: number;
                        /** Format: uuid */
                        changeId: string;
                        anew: boolean;
                        base?: {
                            text: string;
                            pins: {
                                cable: string;
                                unit: number;
                                tray: number;
                            }[];
                            spare: number;
                        };
                        /** @default null */
                        retire?: {
                            by: string;
                            /** Format: date-time */
                            at: string;
                            why: string;
                        } | null;
                    };
                };
            };
            responses: {
                /** @description What was changed */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            added: number;
                            moved: number;
                            dropped: number;
                            retired: number;
                            plan: {
                                /** Format: uuid */
                                closureId: string;
                                text: string;
                                pins: {
                                    cable: string;
                                    unit: number;
                                    tray: number;
                                }[];
                                spare: number;
                            };
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/circuits/{cableId}/{fiber}": {
        parameters: {
        };
        /** A fiber followed through every closure to both ends */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
            };
            responses: {
                /** @description The circuits */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            circuits: {
                                circle: boolean;
                                legs: {
                                    /** Format: uuid */
                                    cableId: string;
                                    fiber: number;
                                    splice: {
                                        /** Format: uuid */
                                        id: string;
                                        /** Format: uuid */
                                        closureId: string;
                                        tray: number;
                                        slot: number;
                                    } | null;
                                    length: number | null;
                                }[];
                                splitters: {
                                    /** Format: uuid */
                                    cableId: string;
                                    output: number | null;
                                    feed: {
                                        /** Format: uuid */
                                        cableId: string;
                                        fiber: number;
                                    } | null;
                                    outputs: {
                                        /** Format: uuid */
                                        cableId: string;
                                        fiber: number;
                                        output: number;
                                    }[];
                                }[];
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/circuits": {
        parameters: {
        };
        /** What looks wrong in the circuits: shifts, flips, circles, unassigned ends */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The problems */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            problems: {
                                /** @enum {string} */
                                kind: "circle" | "twice" | "ends" | "shift" | "flip" | "feed";
                                /** Format: uuid */
                                closure: string | null;
                                /** Format: uuid */
                                spliceId: string | null;
                                message: {
                                    /** @enum {string} */
                                    code: "thirdSplice";
                                    fibers: {
                                        pairs: {
                                            cableA: string;
                                            fiberA: number;
                                            cableB: string;
                                            fiberB: number;
                                        }[];
                                        most?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "circle";
                                    fibers: {
                                        pairs: {
                                            cableA: string;
                                            fiberA: number;
                                            cableB: string;
                                            fiberB: number;
                                        }[];
                                        most?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "ribbonFlipped" | "countsDown";
                                    fibers: {
                                        pairs: {
                                            cableA: string;
                                            fiberA: number;
                                            cableB: string;
                                            fiberB: number;
                                        }[];
                                        most?: number;
                                    };
                                    neighbours: number;
                                } | {
                                    /** @enum {string} */
                                    code: "outOfLine";
                                    fibers: {
                                        pairs: {
                                            cableA: string;
                                            fiberA: number;
                                            cableB: string;
                                            fiberB: number;
                                        }[];
                                        most?: number;
                                    };
                                    cable: string;
                                    fiber: number;
                                } | {
                                    /** @enum {string} */
                                    code: "fedFromTwo";
                                    splitters: string[];
                                } | {
                                    /** @enum {string} */
                                    code: "notFed";
                                    splitter: string;
                                } | {
                                    /** @enum {string} */
                                    code: "unassigned";
                                    cable: string;
                                    runs: string;
                                    fibers: number;
                                };
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/hardware": {
        parameters: {
        };
        /** Hardware profiles: those that ship and the users’ own */
        get: {
            parameters: {
            };
            responses: {
                /** @description The profiles */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Hardware"][];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/hardware/{hardwareId}": {
        parameters: {
        };
        /** Add a hardware profile of your own, or change it */
        put: {
            parameters: {
                path: {
                    hardwareId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["Hardware"] & {
                        base?: components["schemas"]["Hardware"];
                    };
                };
            };
            responses: {
                /** @description Saved */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/assemblies/{closureId}/changes": {
        parameters: {
        };
        /**
         * Change what meets in a closure: hardware, cables, ports, steps done
         * @description A change names only what it changes. The same change sent again changes nothing.
         */
        post: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["AssemblyChange"];
                };
            };
            responses: {
                /** @description Saved */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/records/{kind}/{id}": {
        parameters: {
        };
        /**
         * Delete a project, closure, cable, hardware profile, instrument or color scheme
         * @description Only while nothing depends on it: what does is named otherwise. Putting the record again brings it back.
         */
        delete: {
            parameters: {
                path: {
                    kind: "project" | "closure" | "cable" | "hardware" | "instrument" | "scheme";
                    id: string;
                };
            };
            responses: {
                /** @description Deleted */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/records/{kind}/{id}/archived": {
        parameters: {
        };
        /**
         * Put a record out of the way, or back
         * @description Nothing of it changes; lists to choose from leave it out.
         */
        put: {
            parameters: {
                path: {
                    kind: "project" | "closure" | "cable" | "hardware" | "instrument" | "scheme";
                    id: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        archived: boolean;
                    };
                };
            };
            responses: {
                /** @description Saved */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/splice-list": {
        parameters: {
        };
        /** Import a CSV splice list, all or nothing */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        importId: string;
                        text: string;
                        match: {
                            /** @default null */
                            closure?: number | null;
                            /** @default null */
                            tray?: number | null;
                            /** @default null */
                            slot?: number | null;
                            /** @default null */
                            cableA?: number | null;
                            /** @default null */
                            legA?: number | null;
                            /** @default null */
                            tubeA?: number | null;
                            /** @default null */
                            fiberA?: number | null;
                            /** @default null */
                            cableB?: number | null;
                            /** @default null */
                            legB?: number | null;
                            /** @default null */
                            tubeB?: number | null;
                            /** @default null */
                            fiberB?: number | null;
                            /** @default null */
                            method?: number | null;
                            /** @default null */
                            end?: number | null;
                        };
                        /**
                         * @default single
                         * @enum {string}
                         */
                        method?: "single" | "mass";
                        cables: components["schemas"]["Cable"][];
                        /**
                         * @default {
                         *       "closures": [],
                         *       "cables": []
                         *     }
                         */
                        sameNames?: {
                            /** @default [] */
                            closures?: {
                                written: string;
                                meant: string;
                            }[];
                            /** @default [] */
                            cables?: {
                                written: string;
                                meant: string;
                            }[];
                        };
                    };
                };
            };
            responses: {
                /** @description What was added */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            splices: number;
                            closures: number;
                            cables: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/evidence": {
        parameters: {
        };
        /**
         * Append attempts, readings and rulings, all or nothing
         * @description Ids are made by the client: the same entries sent again change nothing.
         */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: components["schemas"]["Evidence"][];
                    };
                };
            };
            responses: {
                /** @description How many entries were new */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            recorded: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/changes": {
        parameters: {
        };
        /**
         * What was written after a cursor; without one, the cursor of now
         * @description Every write of a project is in it once, in an order that grows from the end alone. Evidence, entries of closings and records of splicers come along; of everything else the id.
         */
        get: {
            parameters: {
                query?: {
                    since?: string;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The changes */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            cursor: string;
                            changes: ({
                                /** @enum {string} */
                                kind: "evidence";
                                entry: components["schemas"]["Evidence"];
                            } | {
                                /** @enum {string} */
                                kind: "closing";
                                entry: components["schemas"]["ClosingEntry"];
                            } | {
                                /** @enum {string} */
                                kind: "link";
                                entry: components["schemas"]["LinkEntry"];
                            } | {
                                /** @enum {string} */
                                kind: "splicer-record";
                                record: components["schemas"]["ReceivedRecord"];
                            } | {
                                /** @enum {string} */
                                kind: "project" | "cable" | "closure" | "assembly" | "plan" | "splices" | "scheme" | "hardware" | "instrument" | "archive" | "set-aside" | "instrument-log" | "trace" | "trace-place" | "photo" | "signed" | "package";
                                id: string;
                            })[];
                            reset: boolean;
                            more: boolean;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/changes/stream": {
        parameters: {
        };
        /**
         * The same as it is written, as server-sent events
         * @description Events `changes` hold what the list answers, and `here` says every ten seconds that the line stands. An event’s id is the cursor behind it.
         */
        get: {
            parameters: {
                query?: {
                    since?: string;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description A stream of events */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "text/event-stream": string;
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/bench": {
        parameters: {
        };
        /** Instruments, what was done to them, and which records count */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The bench */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            instruments: components["schemas"]["Instrument"][];
                            log: components["schemas"]["InstrumentEntry"][];
                            taken: string[];
                            setAside: components["schemas"]["SetAside"][];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/splicer-records": {
        parameters: {
        };
        /** The newest records of splicers, oldest of them first; the changes go on from there */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The records */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["ReceivedRecord"][];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /**
         * Import what a splicer recorded
         * @description Kept as it comes. The same run of the same splicer sent again changes nothing.
         */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        records: components["schemas"]["SplicerRecord"][];
                    };
                };
            };
            responses: {
                /** @description How many were new */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            fresh: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/instruments/{instrumentId}": {
        parameters: {
        };
        /** Add a splicer or cleaver of your own, or change it */
        put: {
            parameters: {
                path: {
                    instrumentId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["Instrument"] & {
                        base?: components["schemas"]["Instrument"];
                    };
                };
            };
            responses: {
                /** @description Saved */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/set-aside": {
        parameters: {
        };
        /** Say of records that they belong to no splice */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: components["schemas"]["SetAside"][];
                    };
                };
            };
            responses: {
                /** @description Said */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            fresh: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/instrument-log": {
        parameters: {
        };
        /** Log sessions, arc checks and what was done to instruments */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: components["schemas"]["InstrumentEntry"][];
                    };
                };
            };
            responses: {
                /** @description Logged */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            fresh: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/standins/{splicerId}/arc": {
        parameters: {
        };
        /** Press the arc of the stand-in for this splicer */
        post: {
            parameters: {
                path: {
                    projectId: string;
                    splicerId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        spliceIds: string[];
                        program: string;
                        heater: string | null;
                        /** @default [] */
                        faults?: ("none" | "chip" | "dirt" | "offset" | "swapped" | "flipped" | "worn electrodes" | "wrong program" | "no sleeve")[];
                        /** @default false */
                        tensionOff?: boolean;
                        /** @default null */
                        label?: string | null;
                        air?: components["schemas"]["Air"];
                    };
                };
            };
            responses: {
                /** @description The record it made */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/standins/{splicerId}/check": {
        parameters: {
        };
        /** Run a round of an arc check on the stand-in */
        post: {
            parameters: {
                path: {
                    projectId: string;
                    splicerId: string;
                };
            };
            responses: {
                /** @description How it went */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            passed: boolean;
                            arcs: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/standins/{splicerId}/service": {
        parameters: {
        };
        /** Clean the stand-in’s electrodes or turn its blade */
        post: {
            parameters: {
                path: {
                    projectId: string;
                    splicerId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** @enum {string} */
                        what: "electrodes" | "blade";
                    };
                };
            };
            responses: {
                /** @description Done */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            arcs: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/ledger/closures": {
        parameters: {
        };
        /** The project as a whole and every closure in route order */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The summary */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            project: {
                                total: number;
                                done: number;
                                due: number;
                                open: number;
                                skipped: number;
                                dead: number;
                                redo: number;
                                spliced: number;
                                measured: number;
                                accepted: number;
                                failed: number;
                                simulated: number;
                                figures: number;
                                sumHalfMdb: number;
                                maxHalfMdb: number | null;
                                weakest: number | null;
                                /** @enum {string} */
                                verdict: "open" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                /** @enum {string|null} */
                                grade: "estimate" | "one-way" | "insertion" | "two-way" | null;
                                meanOver: boolean;
                            };
                            closures: {
                                total: number;
                                done: number;
                                due: number;
                                open: number;
                                skipped: number;
                                dead: number;
                                redo: number;
                                spliced: number;
                                measured: number;
                                accepted: number;
                                failed: number;
                                simulated: number;
                                figures: number;
                                sumHalfMdb: number;
                                maxHalfMdb: number | null;
                                weakest: number | null;
                                /** @enum {string} */
                                verdict: "open" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                /** @enum {string|null} */
                                grade: "estimate" | "one-way" | "insertion" | "two-way" | null;
                                meanOver: boolean;
                                /** Format: uuid */
                                closureId: string;
                                name: string;
                                distance: number | null;
                                /** Format: uuid */
                                branchOf: string | null;
                                trayCount: number;
                                traysOver: number[];
                                /** @enum {string} */
                                closing: "to come" | "under way" | "done";
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/ledger/trays": {
        parameters: {
        };
        /** A row a tray */
        get: {
            parameters: {
                query?: {
                    q?: string;
                    verdict?: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                    state?: "open" | "skipped" | "dead" | "redo" | "spliced" | "measured" | "accepted";
                    closureId?: string;
                    sort?: "route" | "worst" | "mean" | "verdict";
                    offset?: number | null;
                    limit?: number;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description A page of rows */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            rows: {
                                total: number;
                                done: number;
                                due: number;
                                open: number;
                                skipped: number;
                                dead: number;
                                redo: number;
                                spliced: number;
                                measured: number;
                                accepted: number;
                                failed: number;
                                simulated: number;
                                figures: number;
                                sumHalfMdb: number;
                                maxHalfMdb: number | null;
                                weakest: number | null;
                                /** @enum {string} */
                                verdict: "open" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                /** @enum {string|null} */
                                grade: "estimate" | "one-way" | "insertion" | "two-way" | null;
                                meanOver: boolean;
                                /** Format: uuid */
                                closureId: string;
                                closure: string;
                                tray: number;
                            }[];
                            total: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/ledger/fibers": {
        parameters: {
        };
        /** A row a fiber along the route */
        get: {
            parameters: {
                query?: {
                    q?: string;
                    verdict?: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                    state?: "open" | "skipped" | "dead" | "redo" | "spliced" | "measured" | "accepted";
                    closureId?: string;
                    sort?: "route" | "worst" | "mean" | "verdict";
                    offset?: number | null;
                    limit?: number;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description A page of rows */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            rows: {
                                total: number;
                                done: number;
                                due: number;
                                open: number;
                                skipped: number;
                                dead: number;
                                redo: number;
                                spliced: number;
                                measured: number;
                                accepted: number;
                                failed: number;
                                simulated: number;
                                figures: number;
                                sumHalfMdb: number;
                                maxHalfMdb: number | null;
                                weakest: number | null;
                                /** @enum {string} */
                                verdict: "open" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                /** @enum {string|null} */
                                grade: "estimate" | "one-way" | "insertion" | "two-way" | null;
                                meanOver: boolean;
                                /** Format: uuid */
                                headCable: string;
                                headFiber: number;
                            }[];
                            total: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/ledger/splices": {
        parameters: {
        };
        /** A row a splice */
        get: {
            parameters: {
                query?: {
                    q?: string;
                    verdict?: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                    state?: "open" | "skipped" | "dead" | "redo" | "spliced" | "measured" | "accepted";
                    closureId?: string;
                    sort?: "route" | "worst" | "mean" | "verdict";
                    offset?: number | null;
                    limit?: number;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description A page of rows */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            rows: {
                                /** Format: uuid */
                                id: string;
                                /** Format: uuid */
                                closureId: string;
                                closure: string;
                                tray: number;
                                slot: number;
                                /** Format: uuid */
                                cableA: string;
                                fiberA: number;
                                /** @enum {string|null} */
                                legA: "in" | "out" | null;
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string|null} */
                                legB: "in" | "out" | null;
                                /** @enum {string} */
                                method: "single" | "mass";
                                /** @enum {string|null} */
                                end: "pigtail" | "splice-on" | "mechanical" | "breakout" | null;
                                /** Format: uuid */
                                headCable: string;
                                headFiber: number;
                                /** @enum {string} */
                                verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                redo: boolean;
                                grade: number | null;
                                lossHalfMdb: number | null;
                                wavelengthNm: number | null;
                                tries: number;
                                /** @enum {string|null} */
                                origin: "instrument" | "typed" | "simulated" | null;
                                missing: number[];
                            }[];
                            total: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/ledger/redo": {
        parameters: {
        };
        /** Splices to redo, with reasons */
        get: {
            parameters: {
                query?: {
                    q?: string;
                    verdict?: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                    state?: "open" | "skipped" | "dead" | "redo" | "spliced" | "measured" | "accepted";
                    closureId?: string;
                    sort?: "route" | "worst" | "mean" | "verdict";
                    offset?: number | null;
                    limit?: number;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description A page of rows */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            rows: {
                                /** Format: uuid */
                                id: string;
                                /** Format: uuid */
                                closureId: string;
                                closure: string;
                                tray: number;
                                slot: number;
                                /** Format: uuid */
                                cableA: string;
                                fiberA: number;
                                /** @enum {string|null} */
                                legA: "in" | "out" | null;
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string|null} */
                                legB: "in" | "out" | null;
                                /** @enum {string} */
                                method: "single" | "mass";
                                /** @enum {string|null} */
                                end: "pigtail" | "splice-on" | "mechanical" | "breakout" | null;
                                /** Format: uuid */
                                headCable: string;
                                headFiber: number;
                                /** @enum {string} */
                                verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                redo: boolean;
                                grade: number | null;
                                lossHalfMdb: number | null;
                                wavelengthNm: number | null;
                                tries: number;
                                /** @enum {string|null} */
                                origin: "instrument" | "typed" | "simulated" | null;
                                missing: number[];
                                reasons: ({
                                    /** @enum {string} */
                                    code: "dead" | "skip" | "redo" | "waive";
                                    by: string;
                                    why: string;
                                } | {
                                    /** @enum {string} */
                                    code: "over";
                                    /** @enum {string} */
                                    grade: "estimate" | "one-way" | "insertion" | "two-way";
                                    loss: {
                                        lossHalfMdb: number;
                                    };
                                    limit: {
                                        lossMdb: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "overAt";
                                    /** @enum {string} */
                                    grade: "estimate" | "one-way" | "insertion" | "two-way";
                                    loss: {
                                        lossHalfMdb: number;
                                    };
                                    limit: {
                                        lossMdb: number;
                                    };
                                    wavelengthNm: number;
                                } | {
                                    /** @enum {string} */
                                    code: "bend";
                                    longNm: number;
                                    shortNm: number;
                                    excess: {
                                        lossHalfMdb: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "jointItself";
                                } | {
                                    /** @enum {string} */
                                    code: "faceFailed" | "noLight";
                                } | {
                                    /** @enum {string} */
                                    code: "needsLight" | "needsFace" | "needsLightAndFace";
                                } | {
                                    /** @enum {string} */
                                    code: "directionsDiffer";
                                    difference: {
                                        lossMdb: number;
                                    };
                                    wavelengthNm: number;
                                    /** @enum {string} */
                                    low: "AB" | "BA";
                                } | {
                                    /** @enum {string} */
                                    code: "oneWayGain" | "oneWayHigh";
                                    loss: {
                                        lossMdb: number;
                                    };
                                    wavelengthNm: number;
                                    /** @enum {string} */
                                    measure: "AB" | "BA";
                                } | {
                                    /** @enum {string} */
                                    code: "tries" | "triesUsedUp" | "triesPast";
                                    used: number;
                                    most: number;
                                })[];
                            }[];
                            total: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/ledger/search": {
        parameters: {
        };
        /** Fibers, splices, trays, closures and cables that a search line finds */
        get: {
            parameters: {
                query?: {
                    q?: string;
                    closureId?: string;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The first rows of each kind, and how many there are */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            fibers: {
                                rows: {
                                    total: number;
                                    done: number;
                                    due: number;
                                    open: number;
                                    skipped: number;
                                    dead: number;
                                    redo: number;
                                    spliced: number;
                                    measured: number;
                                    accepted: number;
                                    failed: number;
                                    simulated: number;
                                    figures: number;
                                    sumHalfMdb: number;
                                    maxHalfMdb: number | null;
                                    weakest: number | null;
                                    /** @enum {string} */
                                    verdict: "open" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                    /** @enum {string|null} */
                                    grade: "estimate" | "one-way" | "insertion" | "two-way" | null;
                                    meanOver: boolean;
                                    /** Format: uuid */
                                    headCable: string;
                                    headFiber: number;
                                }[];
                                total: number;
                            };
                            splices: {
                                rows: {
                                    /** Format: uuid */
                                    id: string;
                                    /** Format: uuid */
                                    closureId: string;
                                    closure: string;
                                    tray: number;
                                    slot: number;
                                    /** Format: uuid */
                                    cableA: string;
                                    fiberA: number;
                                    /** @enum {string|null} */
                                    legA: "in" | "out" | null;
                                    /** Format: uuid */
                                    cableB: string;
                                    fiberB: number;
                                    /** @enum {string|null} */
                                    legB: "in" | "out" | null;
                                    /** @enum {string} */
                                    method: "single" | "mass";
                                    /** @enum {string|null} */
                                    end: "pigtail" | "splice-on" | "mechanical" | "breakout" | null;
                                    /** Format: uuid */
                                    headCable: string;
                                    headFiber: number;
                                    /** @enum {string} */
                                    verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                    redo: boolean;
                                    grade: number | null;
                                    lossHalfMdb: number | null;
                                    wavelengthNm: number | null;
                                    tries: number;
                                    /** @enum {string|null} */
                                    origin: "instrument" | "typed" | "simulated" | null;
                                    missing: number[];
                                }[];
                                total: number;
                            };
                            trays: {
                                rows: {
                                    total: number;
                                    done: number;
                                    due: number;
                                    open: number;
                                    skipped: number;
                                    dead: number;
                                    redo: number;
                                    spliced: number;
                                    measured: number;
                                    accepted: number;
                                    failed: number;
                                    simulated: number;
                                    figures: number;
                                    sumHalfMdb: number;
                                    maxHalfMdb: number | null;
                                    weakest: number | null;
                                    /** @enum {string} */
                                    verdict: "open" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                    /** @enum {string|null} */
                                    grade: "estimate" | "one-way" | "insertion" | "two-way" | null;
                                    meanOver: boolean;
                                    /** Format: uuid */
                                    closureId: string;
                                    closure: string;
                                    tray: number;
                                }[];
                                total: number;
                            };
                            closures: {
                                rows: {
                                    total: number;
                                    done: number;
                                    due: number;
                                    open: number;
                                    skipped: number;
                                    dead: number;
                                    redo: number;
                                    spliced: number;
                                    measured: number;
                                    accepted: number;
                                    failed: number;
                                    simulated: number;
                                    figures: number;
                                    sumHalfMdb: number;
                                    maxHalfMdb: number | null;
                                    weakest: number | null;
                                    /** @enum {string} */
                                    verdict: "open" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                    /** @enum {string|null} */
                                    grade: "estimate" | "one-way" | "insertion" | "two-way" | null;
                                    meanOver: boolean;
                                    /** Format: uuid */
                                    closureId: string;
                                    name: string;
                                    distance: number | null;
                                    /** Format: uuid */
                                    branchOf: string | null;
                                    trayCount: number;
                                    traysOver: number[];
                                    /** @enum {string} */
                                    closing: "to come" | "under way" | "done";
                                }[];
                                total: number;
                            };
                            cables: {
                                rows: {
                                    /** Format: uuid */
                                    cableId: string;
                                    name: string;
                                    fibers: number;
                                    planned: number;
                                }[];
                                total: number;
                            };
                            planLines: {
                                rows: {
                                    /** Format: uuid */
                                    closureId: string;
                                    closure: string;
                                    line: number;
                                    text: string;
                                }[];
                                total: number;
                            };
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/splices/{spliceId}": {
        parameters: {
        };
        /** A splice with all its evidence */
        get: {
            parameters: {
                path: {
                    spliceId: string;
                };
            };
            responses: {
                /** @description The splice */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            splice: components["schemas"]["Splice"];
                            evidence: components["schemas"]["Evidence"][];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/fibers/{cableId}/{fiber}": {
        parameters: {
        };
        /** A fiber along the route: its splices from the head on */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
            };
            responses: {
                /** @description The fiber */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            rows: {
                                /** Format: uuid */
                                id: string;
                                /** Format: uuid */
                                closureId: string;
                                closure: string;
                                tray: number;
                                slot: number;
                                /** Format: uuid */
                                cableA: string;
                                fiberA: number;
                                /** @enum {string|null} */
                                legA: "in" | "out" | null;
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string|null} */
                                legB: "in" | "out" | null;
                                /** @enum {string} */
                                method: "single" | "mass";
                                /** @enum {string|null} */
                                end: "pigtail" | "splice-on" | "mechanical" | "breakout" | null;
                                /** Format: uuid */
                                headCable: string;
                                headFiber: number;
                                /** @enum {string} */
                                verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                redo: boolean;
                                grade: number | null;
                                lossHalfMdb: number | null;
                                wavelengthNm: number | null;
                                tries: number;
                                /** @enum {string|null} */
                                origin: "instrument" | "typed" | "simulated" | null;
                                missing: number[];
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/traces": {
        parameters: {
        };
        /** The traces of a project, in the order in which they came in */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The traces */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** Format: uuid */
                            id: string;
                            name: string;
                            digest: string;
                            receivedAt: string;
                            /** @enum {string} */
                            origin: "instrument" | "typed" | "simulated";
                            facts: {
                                cableId: string;
                                fiberId: string;
                                wavelengthNm: number;
                                from: string;
                                to: string;
                                measuredAtS: number;
                                pulseNs: number;
                                averages: number;
                                groupIndex: number;
                                spacingM: number;
                                samples: number;
                                rangeM: number;
                                events: number;
                                samplesDigest: string;
                                warnings: ({
                                    /** @enum {string} */
                                    code: "notATraceFile";
                                    block: string;
                                    byte: number;
                                } | {
                                    /** @enum {string} */
                                    code: "blockMissing";
                                    block: string;
                                    byte: number;
                                } | {
                                    /** @enum {string} */
                                    code: "noSampleSpacing";
                                    block: string;
                                    byte: number;
                                } | {
                                    /** @enum {string} */
                                    code: "noSamples";
                                    block: string;
                                    byte: number;
                                } | {
                                    /** @enum {string} */
                                    code: "blockNameInvalid";
                                    block: string;
                                    byte: number;
                                } | {
                                    /** @enum {string} */
                                    code: "blockNotThere";
                                    block: string;
                                    byte: number;
                                } | {
                                    /** @enum {string} */
                                    code: "blockMoved";
                                    block: string;
                                    byte: number;
                                    found: number;
                                } | {
                                    /** @enum {string} */
                                    code: "blockCutOff";
                                    block: string;
                                    byte: number;
                                    missing: number;
                                } | {
                                    /** @enum {string} */
                                    code: "endsBeforeField";
                                    block: string;
                                    byte: number;
                                    field: string;
                                } | {
                                    /** @enum {string} */
                                    code: "fieldWithoutEnd";
                                    block: string;
                                    byte: number;
                                    field: string;
                                } | {
                                    /** @enum {string} */
                                    code: "mapCount";
                                    block: string;
                                    byte: number;
                                    stated: number;
                                    found: number;
                                } | {
                                    /** @enum {string} */
                                    code: "mapSize";
                                    block: string;
                                    byte: number;
                                    stated: number;
                                    found: number;
                                } | {
                                    /** @enum {string} */
                                    code: "pulseWidths";
                                    block: string;
                                    byte: number;
                                    stated: number;
                                } | {
                                    /** @enum {string} */
                                    code: "groupIndex";
                                    block: string;
                                    byte: number;
                                    index: number;
                                } | {
                                    /** @enum {string} */
                                    code: "scaleFactors";
                                    block: string;
                                    byte: number;
                                    stated: number;
                                } | {
                                    /** @enum {string} */
                                    code: "samplesOfFactor";
                                    block: string;
                                    byte: number;
                                    stated: number;
                                    found: number;
                                } | {
                                    /** @enum {string} */
                                    code: "samplesInAll";
                                    block: string;
                                    byte: number;
                                    stated: number;
                                    found: number;
                                } | {
                                    /** @enum {string} */
                                    code: "checksum";
                                    block: string;
                                    byte: number;
                                    stored: number;
                                    computed: number;
                                } | {
                                    /** @enum {string} */
                                    code: "twoWavelengths";
                                    generalNm: number;
                                    fixedNm: number;
                                } | {
                                    /** @enum {string} */
                                    code: "saidBefore";
                                    text: string;
                                })[];
                            };
                            place: {
                                /** Format: uuid */
                                id: string;
                                /** Format: uuid */
                                traceId: string;
                                by: string;
                                /** Format: date-time */
                                at: string;
                                /** Format: uuid */
                                cableId: string | null;
                                fiber: number | null;
                                /** @enum {string|null} */
                                direction: "AB" | "BA" | null;
                                wavelengthNm: number | null;
                                /**
                                 * @default null
                                 * @enum {string|null}
                                 */
                                stage: "reel" | null;
                                why: string | null;
                            } | null;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /**
         * Import a trace file, kept byte for byte, and say where it belongs
         * @description The same content sent again, under whatever name, is the trace that is here already.
         */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        name: string;
                        bytes?: string;
                        file?: components["schemas"]["Upload"];
                        place: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            traceId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            cableId: string | null;
                            fiber: number | null;
                            /** @enum {string|null} */
                            direction: "AB" | "BA" | null;
                            wavelengthNm: number | null;
                            /**
                             * @default null
                             * @enum {string|null}
                             */
                            stage?: "reel" | null;
                            why: string | null;
                        } | null;
                    };
                };
            };
            responses: {
                /** @description The trace */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** Format: uuid */
                            id: string;
                            known: boolean;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/trace-places": {
        parameters: {
        };
        /** Say where traces belong, or set them aside */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            traceId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            cableId: string | null;
                            fiber: number | null;
                            /** @enum {string|null} */
                            direction: "AB" | "BA" | null;
                            wavelengthNm: number | null;
                            /**
                             * @default null
                             * @enum {string|null}
                             */
                            stage?: "reel" | null;
                            why: string | null;
                        }[];
                    };
                };
            };
            responses: {
                /** @description How many were said */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            placed: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/traces/{traceId}/file.sor": {
        parameters: {
        };
        /** A trace file as it came, byte for byte */
        get: {
            parameters: {
                path: {
                    traceId: string;
                };
            };
            responses: {
                /** @description The file */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/octet-stream": unknown;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/proof": {
        parameters: {
        };
        /** What the traces prove: the fitted route, what is odd, what is bad, why and where */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The proof */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            traces: number;
                            unplaced: number;
                            circuits: {
                                key: string;
                                label: string;
                                to: string;
                            }[];
                            scale: number;
                            corrections: {
                                kind: string;
                                closureId: string | null;
                                message: components["schemas"]["CorrectionMessage"];
                            }[];
                            problems: {
                                kind: string;
                                circuit: string | null;
                                traces: string[];
                                message: components["schemas"]["ProofMessage"];
                            }[];
                            findings: {
                                /** @enum {string} */
                                cause: "break" | "connector" | "tray" | "ribbon edge" | "bend" | "mode field" | "splice" | "unplanned" | "ghost";
                                /** @enum {string} */
                                weight: "bad" | "look";
                                circuits: string[];
                                spliceIds: string[];
                                closureId: string | null;
                                message: components["schemas"]["FindingMessage"];
                                where: components["schemas"]["WhereMessage"][];
                                place: {
                                    from: string;
                                    closureId: string | null;
                                    toward: string;
                                    cable: string;
                                    sheathM: number;
                                    sigmaM: number;
                                    inCoil: boolean;
                                    markM: number | null;
                                } | null;
                            }[];
                            ledger: {
                                fresh: number;
                                there: number;
                                held: {
                                    count: number;
                                    /** @enum {string} */
                                    why: "filesInDoubt" | "shotBeforeSplice" | "lossTooLarge";
                                }[];
                            };
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/proof/readings": {
        parameters: {
        };
        /** Put the figures of all traces into the Ledger; the same once more changes nothing */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        by: string;
                        /** Format: date-time */
                        at: string;
                    };
                };
            };
            responses: {
                /** @description How many were new */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            recorded: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/proof/circuits/{cableId}/{fiber}": {
        parameters: {
        };
        /** One circuit with its traces aligned with it */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
            };
            responses: {
                /** @description The circuit */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            key: string;
                            label: string;
                            points: {
                                closureId: string | null;
                                name: string;
                                tray: number | null;
                                spliceId: string | null;
                                positionM: number | null;
                            }[];
                            spans: {
                                cable: string;
                                fiber: number;
                                sheathM: number | null;
                            }[];
                            lengthM: number;
                            traces: {
                                /** Format: date-time */
                                measuredAt: string | null;
                                id: string;
                                name: string;
                                /** @enum {string} */
                                direction: "AB" | "BA";
                                wavelengthNm: number;
                                startM: number;
                                indexRatio: number;
                                endM: number | null;
                            }[];
                            peers: {
                                fiber: number;
                                id: string;
                                /** @enum {string} */
                                direction: "AB" | "BA";
                                wavelengthNm: number;
                                startM: number;
                                indexRatio: number;
                                lengthM: number;
                            }[];
                            splices: {
                                point: number;
                                wavelengthNm: number;
                                forward: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                                backward: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                                mean: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                                modeField: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                            }[];
                            totals: {
                                wavelengthNm: number;
                                mean: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                            }[];
                            findings: {
                                /** @enum {string} */
                                cause: "break" | "connector" | "tray" | "ribbon edge" | "bend" | "mode field" | "splice" | "unplanned" | "ghost";
                                /** @enum {string} */
                                weight: "bad" | "look";
                                circuits: string[];
                                spliceIds: string[];
                                closureId: string | null;
                                message: components["schemas"]["FindingMessage"];
                                where: components["schemas"]["WhereMessage"][];
                                place: {
                                    from: string;
                                    closureId: string | null;
                                    toward: string;
                                    cable: string;
                                    sheathM: number;
                                    sigmaM: number;
                                    inCoil: boolean;
                                    markM: number | null;
                                } | null;
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/proof/circuits/{cableId}/{fiber}/history": {
        parameters: {
        };
        /** All shots of a circuit by end and wavelength, oldest first, and what moved since the first */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
            };
            responses: {
                /** @description Series of shots */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** @enum {string} */
                            direction: "AB" | "BA";
                            wavelengthNm: number;
                            shots: {
                                /** Format: uuid */
                                id: string;
                                name: string;
                                /** Format: date-time */
                                measuredAt: string | null;
                                total: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                            }[];
                            changes: {
                                point: number | null;
                                first: {
                                    lossDb: number;
                                    sigmaDb: number;
                                };
                                newest: {
                                    lossDb: number;
                                    sigmaDb: number;
                                };
                                byDb: number;
                                sigmaDb: number;
                                /** @enum {string} */
                                verdict: "moved" | "maybe" | "same";
                            }[];
                            reels: {
                                span: number;
                                number: string | null;
                                /** Format: date-time */
                                measuredAt: string | null;
                                reelDbPerKm: number;
                                nowDbPerKm: number;
                                byDb: number;
                                sigmaDb: number;
                                /** @enum {string} */
                                verdict: "moved" | "maybe" | "same";
                            }[];
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/closures/{closureId}/trace-alerts": {
        parameters: {
        };
        /** Splices of a closure that traces say are to be respliced before their trays are closed */
        get: {
            parameters: {
                path: {
                    closureId: string;
                };
            };
            responses: {
                /** @description Alerts */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** @enum {string} */
                            weight: "bad" | "look";
                            spliceIds: string[];
                            message: components["schemas"]["FindingMessage"];
                            where: components["schemas"]["WhereMessage"][];
                            /** Format: date-time */
                            at: string;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/cables/{cableId}/reel": {
        parameters: {
        };
        /** The fibers of a cable as they were shot on its reel, each accepted or not */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                };
            };
            responses: {
                /** @description The reel */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            fibers: number;
                            shots: {
                                /** Format: uuid */
                                traceId: string;
                                name: string;
                                fiber: number;
                                /** @enum {string} */
                                direction: "AB" | "BA";
                                wavelengthNm: number;
                                /** Format: date-time */
                                measuredAt: string | null;
                                lengthM: number | null;
                                attenuation: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                                mostDbPerKm: number | null;
                                /** @enum {string} */
                                verdict: "accepted" | "rejected" | "check";
                                problems: ({
                                    /** @enum {string} */
                                    code: "reelEndNotSeen";
                                } | {
                                    /** @enum {string} */
                                    code: "reelAttenuationUnknown";
                                } | {
                                    /** @enum {string} */
                                    code: "reelAttenuationOver" | "reelAttenuationUnsure";
                                    measured: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                    most: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                    wavelengthNm: number;
                                } | {
                                    /** @enum {string} */
                                    code: "reelStep";
                                    at: {
                                        placeM: number;
                                    };
                                    loss: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                    most: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "reelShort" | "reelLong";
                                    byLight: {
                                        tapeM: number;
                                        errorM?: number;
                                        decimals?: number;
                                    };
                                    sheath: {
                                        tapeM: number;
                                        errorM?: number;
                                        decimals?: number;
                                    };
                                })[];
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/cables/{cableId}/circuit-ends": {
        parameters: {
        };
        /** The places at both ends of the circuit of each fiber of a cable, where it begins first */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                };
            };
            responses: {
                /** @description A circuit a fiber */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            fiber: number;
                            from: string;
                            to: string;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/budget": {
        parameters: {
        };
        /** Expected and measured loss of every circuit, those without light first */
        get: {
            parameters: {
                query?: {
                    offset?: number | null;
                    limit?: number;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description Circuits */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            total: number;
                            counts: {
                                broken?: number;
                                no?: number;
                                unsure?: number;
                                "not joined"?: number;
                                yes?: number;
                                unknown?: number;
                            };
                            rows: {
                                circuit: string;
                                label: string;
                                /** Format: uuid */
                                cableId: string;
                                fiber: number;
                                from: string;
                                to: string;
                                splitters: {
                                    name: string;
                                    output: number;
                                }[];
                                splitterMdb: number;
                                ends: number;
                                lengthM: number | null;
                                splices: number;
                                open: number;
                                /** @enum {string} */
                                lights: "broken" | "no" | "unsure" | "not joined" | "yes" | "unknown";
                                why: components["schemas"]["BudgetMessage"];
                                budgets: {
                                    wavelengthNm: number;
                                    expectedMdb: number;
                                    expectedSigmaMdb: number;
                                    madeMdb: number;
                                    madeSigmaMdb: number;
                                    measuredMdb: number | null;
                                    measuredSigmaMdb: number | null;
                                    assumedMdb: number;
                                    limitMdb: number;
                                    marginMdb: number;
                                    marginSigmaMdb: number;
                                }[];
                            }[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/standin/otdr": {
        parameters: {
        };
        /** Shoot a circuit with the simulated OTDR */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        cableId: string;
                        fiber: number;
                        /** @enum {string} */
                        direction: "AB" | "BA";
                        wavelengthNm: 1310 | 1490 | 1550 | 1625;
                        pulseNs: number;
                        averages: number;
                        /** @default false */
                        isOnReel?: boolean;
                        /** @default [] */
                        faults?: ("launchFiberIncluded" | "wrongGroupIndex" | "rangeTooShort" | "unplugged" | "brokenHalfway")[];
                    };
                };
            };
            responses: {
                /** @description A trace file in base 64 */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            name: string;
                            bytes: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/links": {
        parameters: {
        };
        /** Record what a power meter and a light source tell of links */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: components["schemas"]["LinkEntry"][];
                    };
                };
            };
            responses: {
                /** @description How many were sent */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            recorded: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/cables/{cableId}/links": {
        parameters: {
        };
        /** The links that run through a cable, and what was measured of them */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                };
            };
            responses: {
                /** @description The links */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            circuits: {
                                key: string;
                                fiber: number;
                                label: string;
                                from: string;
                                to: string;
                                isThrough: boolean;
                                fibers: {
                                    cableId: string;
                                    fiber: number;
                                }[];
                                budgets: {
                                    wavelengthNm: number;
                                    expectedMdb: number;
                                    expectedSigmaMdb: number;
                                    madeMdb: number;
                                    madeSigmaMdb: number;
                                    measuredMdb: number | null;
                                    measuredSigmaMdb: number | null;
                                    assumedMdb: number;
                                    limitMdb: number;
                                    marginMdb: number;
                                    marginSigmaMdb: number;
                                }[];
                            }[];
                            entries: components["schemas"]["LinkEntry"][];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/cables/{cableId}/fibers/{fiber}/proof": {
        parameters: {
        };
        /** All that proves one fiber from port to port, and its verdict */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
            };
            responses: {
                /** @description The proof */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** Format: uuid */
                            cableId: string;
                            fiber: number;
                            label: string;
                            from: string;
                            to: string;
                            lengthM: number;
                            practiceOnly: boolean;
                            splices: {
                                name: string;
                                tray: number | null;
                                port: string | null;
                                /** @enum {string} */
                                verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                figures: {
                                    wavelengthNm: number;
                                    forward: {
                                        lossDb: number;
                                        sigmaDb: number;
                                    } | null;
                                    backward: {
                                        lossDb: number;
                                        sigmaDb: number;
                                    } | null;
                                    mean: {
                                        lossDb: number;
                                        sigmaDb: number;
                                    } | null;
                                }[];
                            }[];
                            totals: {
                                wavelengthNm: number;
                                AB: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                                BA: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                                mean: {
                                    lossDb: number;
                                    sigmaDb: number;
                                } | null;
                            }[];
                            budget: {
                                budgets: {
                                    wavelengthNm: number;
                                    expectedMdb: number;
                                    expectedSigmaMdb: number;
                                    madeMdb: number;
                                    madeSigmaMdb: number;
                                    measuredMdb: number | null;
                                    measuredSigmaMdb: number | null;
                                    assumedMdb: number;
                                    limitMdb: number;
                                    marginMdb: number;
                                    marginSigmaMdb: number;
                                }[];
                                why: components["schemas"]["BudgetMessage"];
                                /** @enum {string} */
                                lights: "broken" | "no" | "unsure" | "not joined" | "yes" | "unknown";
                            } | null;
                            findings: {
                                /** @enum {string} */
                                cause: "break" | "connector" | "tray" | "ribbon edge" | "bend" | "mode field" | "splice" | "unplanned" | "ghost";
                                /** @enum {string} */
                                weight: "bad" | "look";
                                circuits: string[];
                                spliceIds: string[];
                                closureId: string | null;
                                message: components["schemas"]["FindingMessage"];
                                where: components["schemas"]["WhereMessage"][];
                                place: {
                                    from: string;
                                    closureId: string | null;
                                    toward: string;
                                    cable: string;
                                    sheathM: number;
                                    sigmaM: number;
                                    inCoil: boolean;
                                    markM: number | null;
                                } | null;
                            }[];
                            link: {
                                judgements: {
                                    wavelengthNm: number;
                                    lossHalfMdb: number;
                                    leftOutHalfMdb: number;
                                    sigmaMdb: number;
                                    isTwoWay: boolean;
                                    /** @enum {string} */
                                    verdict: "pass" | "fail" | "one way" | "no limit";
                                    excessMdb: number | null;
                                }[];
                                causes: ({
                                    /** @enum {string} */
                                    code: "elsewhere";
                                    fiber: number;
                                } | {
                                    /** @enum {string} */
                                    code: "noLight";
                                } | {
                                    /** @enum {string} */
                                    code: "reflection";
                                    wavelengthNm: number;
                                    returnLoss: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "bend";
                                    longNm: number;
                                    shortNm: number;
                                    more: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "wrongFiber";
                                    more: boolean;
                                } | {
                                    /** @enum {string} */
                                    code: "break";
                                    excess: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "oneEnd";
                                    wavelengthNm: number;
                                    difference: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "connector";
                                    excess: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "connectorOrSplice";
                                    excess: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "reference";
                                    less: {
                                        lossDb: number;
                                        sigmaDb?: number;
                                        decimals?: number;
                                    };
                                } | {
                                    /** @enum {string} */
                                    code: "calibrationExpired";
                                    meter: string;
                                    until: string;
                                })[];
                            };
                            entries: components["schemas"]["LinkEntry"][];
                            traces: {
                                /** Format: uuid */
                                id: string;
                                name: string;
                                /** @enum {string} */
                                direction: "AB" | "BA";
                                wavelengthNm: number;
                                /** Format: date-time */
                                measuredAt: string | null;
                            }[];
                            /** @enum {string} */
                            verdict: "proven" | "not proven" | "fails";
                            reasons: ({
                                /** @enum {string} */
                                code: "splices";
                                /** @enum {string} */
                                verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                splices: number;
                            } | {
                                /** @enum {string} */
                                code: "notMeasured";
                                wavelengthNm: number;
                            } | {
                                /** @enum {string} */
                                code: "lengthUnknown";
                            } | {
                                /** @enum {string} */
                                code: "overBudget";
                                wavelengthNm: number;
                                by: {
                                    lossDb: number;
                                    sigmaDb?: number;
                                    decimals?: number;
                                };
                            } | {
                                /** @enum {string} */
                                code: "marginUnsure";
                                wavelengthNm: number;
                                left: {
                                    lossDb: number;
                                    sigmaDb?: number;
                                    decimals?: number;
                                };
                                error: {
                                    lossDb: number;
                                    sigmaDb?: number;
                                    decimals?: number;
                                };
                            } | {
                                /** @enum {string} */
                                code: "findings";
                                findings: number;
                            } | {
                                /** @enum {string} */
                                code: "linkOver" | "linkDiffers";
                                wavelengthNm: number;
                            })[];
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/cables/{cableId}/fibers/{fiber}/proof.pdf": {
        parameters: {
        };
        /** The same on one page */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
            };
            responses: {
                /** @description PDF */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/pdf": string;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/uploads/{digest}": {
        parameters: {
        };
        /** How much of a file has arrived that is sent in pieces */
        get: {
            parameters: {
                path: {
                    digest: string;
                };
            };
            responses: {
                /** @description How much of it is here */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            received: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/uploads/{digest}/{start}": {
        parameters: {
        };
        /**
         * Send the next piece of a file, before the record that names it
         * @description Files are named by their SHA-256. A piece that is here already, or out of turn, changes nothing: the answer says where to go on.
         */
        put: {
            parameters: {
                path: {
                    digest: string;
                    start: number | null;
                };
            };
            requestBody: {
                content: {
                    "application/octet-stream": string;
                };
            };
            responses: {
                /** @description How much of it is here now */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            received: number;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/schemas/project.json": {
        parameters: {
        };
        /** The JSON Schema of a project document */
        get: {
            parameters: {
            };
            responses: {
                /** @description The schema */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            [key: string]: unknown;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/document.json": {
        parameters: {
        };
        /** The whole project as one JSON document */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description A document that /schemas/project.json describes */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            [key: string]: unknown;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/project.zip": {
        parameters: {
        };
        /** The whole project as a zip: its document, and its traces and photos as files beside it */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The zip */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/zip": string;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/documents": {
        parameters: {
        };
        /**
         * Import a whole project, all or nothing: its document as JSON, or its zip
         * @description It is written piece by piece, and there for all once it is in; /imports tells how far it is. With `Prefer: respond-async` (RFC 7240) the answer comes when it is read and found right.
         */
        post: {
            parameters: {
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** @constant */
                        format: "cordel.project";
                        /** @constant */
                        version: 5;
                        project: {
                            /** Format: uuid */
                            id: string;
                            name: string;
                            /** @default false */
                            practiceOnly?: boolean;
                            units: {
                                /** @enum {string} */
                                length: "mm" | "in";
                                /** @enum {string} */
                                distance: "km" | "m" | "mi" | "ft";
                                /** @enum {string} */
                                pressure: "psi" | "kPa" | "mbar" | "inH2O";
                                /** @enum {string} */
                                temperature: "C" | "F";
                                /** @enum {string} */
                                altitude: "m" | "ft";
                                /** @enum {string} */
                                paper: "A4" | "Letter";
                                timeZone: string;
                            };
                            schemeId: string;
                            limits: {
                                name: string;
                                source: string;
                                splice: {
                                    estimate: {
                                        single: number | null;
                                        mass: number | null;
                                    };
                                    "one-way": {
                                        single: number | null;
                                        mass: number | null;
                                    };
                                    insertion: {
                                        single: number | null;
                                        mass: number | null;
                                    };
                                    "two-way": {
                                        single: number | null;
                                        mass: number | null;
                                    };
                                };
                                /**
                                 * @default {
                                 *       "mechanical": 500,
                                 *       "fused": 750
                                 *     }
                                 */
                                ends?: {
                                    mechanical: number | null;
                                    fused: number | null;
                                };
                                mean: {
                                    fiber: number | null;
                                    tray: number | null;
                                    closure: number | null;
                                };
                                /** @enum {string} */
                                grade: "estimate" | "one-way" | "insertion" | "two-way";
                                maxTries: number;
                                wavelengths: number[];
                            };
                            trayCapacity: {
                                single: number;
                                mass: number;
                            };
                            /**
                             * @default {
                             *       "tubeTool": "scorer",
                             *       "gel": "at once",
                             *       "trayFiber": 10000,
                             *       "redos": 3,
                             *       "redoConsumption": 400,
                             *       "redoPercent": 5,
                             *       "arc": {
                             *         "when": "both",
                             *         "arcs125": 300,
                             *         "arcs400": 50,
                             *         "temperature": 10,
                             *         "humidity": 30,
                             *         "pressure": 5,
                             *         "streak": 3,
                             *         "idleDays": 14
                             *       },
                             *       "adhesiveWait": 60,
                             *       "workingLength": "mark 30 mm",
                             *       "noTension": null,
                             *       "dropEnd": "splice-on",
                             *       "signers": "one or two",
                             *       "leakLimit": 100
                             *     }
                             */
                            practice?: {
                                /** @enum {string} */
                                tubeTool: "scorer" | "stripper";
                                /** @enum {string} */
                                gel: "at once" | "after grouping";
                                trayFiber: number;
                                redos: number;
                                redoConsumption: number;
                                redoPercent: number;
                                /**
                                 * @default {
                                 *       "when": "both",
                                 *       "arcs125": 300,
                                 *       "arcs400": 50,
                                 *       "temperature": 10,
                                 *       "humidity": 30,
                                 *       "pressure": 5,
                                 *       "streak": 3,
                                 *       "idleDays": 14
                                 *     }
                                 */
                                arc?: {
                                    /** @enum {string} */
                                    when: "session" | "triggers" | "both";
                                    arcs125: number;
                                    arcs400: number;
                                    temperature: number;
                                    humidity: number;
                                    pressure: number;
                                    streak: number;
                                    idleDays: number;
                                };
                                /** @default 60 */
                                adhesiveWait?: number;
                                /**
                                 * @default mark 30 mm
                                 * @enum {string}
                                 */
                                workingLength?: "mark 30 mm" | "past the holder";
                                /** @default null */
                                noTension?: string | null;
                                /**
                                 * @default splice-on
                                 * @enum {string}
                                 */
                                dropEnd?: "splice-on" | "pigtail" | "mechanical";
                                /**
                                 * @default one or two
                                 * @enum {string}
                                 */
                                signers?: "one or two" | "two people";
                                /** @default 100 */
                                leakLimit?: number;
                            };
                            /**
                             * @default {
                             *       "glass": [
                             *         {
                             *           "wavelengthNm": 1310,
                             *           "usual": 340,
                             *           "spread": 10,
                             *           "most": 400
                             *         },
                             *         {
                             *           "wavelengthNm": 1550,
                             *           "usual": 200,
                             *           "spread": 8,
                             *           "most": 300
                             *         },
                             *         {
                             *           "wavelengthNm": 1625,
                             *           "usual": 230,
                             *           "spread": 12,
                             *           "most": 400
                             *         }
                             *       ],
                             *       "splice": {
                             *         "usual": 40,
                             *         "spread": 30,
                             *         "most": 300
                             *       },
                             *       "connector": {
                             *         "usual": 250,
                             *         "spread": 120,
                             *         "most": 750
                             *       },
                             *       "connectors": 2,
                             *       "most": null
                             *     }
                             */
                            budget?: {
                                glass: {
                                    usual: number;
                                    spread: number;
                                    most: number;
                                    wavelengthNm: number;
                                }[];
                                splice: {
                                    usual: number;
                                    spread: number;
                                    most: number;
                                };
                                connector: {
                                    usual: number;
                                    spread: number;
                                    most: number;
                                };
                                connectors: number;
                                most: number | null;
                            };
                            /** @default [] */
                            route?: {
                                name: string;
                                points: [
                                    number,
                                    number
                                ][];
                            }[];
                            /** Format: date-time */
                            createdAt: string;
                        };
                        schemes: {
                            id: string;
                            name: string;
                            source: string;
                            /** @enum {string} */
                            mark: "tracer" | "ring";
                            colours: {
                                name: string;
                                code: string;
                                hex: string;
                                /** @default [] */
                                aliases?: string[];
                            }[];
                        }[];
                        closures: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            name: string;
                            ordinal: number;
                            distance: number | null;
                            branchOf: string | null;
                            /** @default null */
                            position?: [
                                number,
                                number
                            ] | null;
                            trays: {
                                single: number;
                                mass: number;
                                number: number;
                            }[];
                        }[];
                        cables: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            name: string;
                            makeUp: {
                                /** @constant */
                                kind: "loose-tube";
                                tubes: number;
                                fibersPerTube: number;
                            } | {
                                /** @constant */
                                kind: "grouped-tube";
                                tubes: number;
                                groupsPerTube: number;
                            } | {
                                /** @constant */
                                kind: "ribbon";
                                ribbons: number;
                                fibersPerRibbon?: number;
                                ribbonsPerTube?: number;
                                /** @constant */
                                rollable?: true;
                            } | {
                                /** @constant */
                                kind: "drop";
                                fibers: number;
                            } | {
                                /** @constant */
                                kind: "splitter";
                                outputs: number;
                                tapPercent?: number;
                                lossMdb?: number;
                            } | {
                                /** @constant */
                                kind: "ports";
                                /** @enum {string} */
                                place: "terminal" | "panel" | "module";
                                ports: number;
                                /** @enum {string} */
                                connector: "SC" | "LC" | "array";
                                /** @enum {string} */
                                polish: "UPC" | "APC";
                            };
                            /** @default null */
                            closureId?: string | null;
                            schemeId: string;
                            /**
                             * @default {
                             *       "type": "G.652.D",
                             *       "mfd": null,
                             *       "coating": 250
                             *     }
                             */
                            glass?: {
                                /** @enum {string} */
                                type: "G.652.D" | "G.657.A1" | "G.657.A2" | "G.655" | "OM1 62.5/125" | "OM3 50/125";
                                mfd: number | null;
                                coating: 200 | 250 | 900;
                            };
                            /**
                             * @default {
                             *       "helix": 10050,
                             *       "marks": [],
                             *       "end": null
                             *     }
                             */
                            run?: {
                                helix: number;
                                marks: {
                                    /** Format: uuid */
                                    closureId: string;
                                    mark: number;
                                }[];
                                end: {
                                    name: string;
                                    distance: number | null;
                                    mark: number | null;
                                    coil: number;
                                } | null;
                                reel?: {
                                    number: string;
                                    length: number | null;
                                };
                            };
                        }[];
                        splices: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            /** Format: uuid */
                            closureId: string;
                            tray: number;
                            slot: number;
                            /** Format: uuid */
                            cableA: string;
                            fiberA: number;
                            /** @default null */
                            legA?: ("in" | "out") | null;
                            /** Format: uuid */
                            cableB: string;
                            fiberB: number;
                            /** @default null */
                            legB?: ("in" | "out") | null;
                            /** @enum {string} */
                            method: "single" | "mass";
                            /** @default null */
                            end?: ("pigtail" | "splice-on" | "mechanical" | "breakout") | null;
                            extra: {
                                [key: string]: string;
                            };
                        }[];
                        /** @default [] */
                        archived?: string[];
                        /** @default [] */
                        plans?: {
                            /** Format: uuid */
                            closureId: string;
                            text: string;
                            pins: {
                                cable: string;
                                unit: number;
                                tray: number;
                            }[];
                            spare: number;
                        }[];
                        /** @default [] */
                        hardware?: {
                            id: string;
                            name: string;
                            /** @enum {string} */
                            form: "dome" | "in-line" | "drop" | "gland" | "wedge" | "rack" | "drop-end";
                            source: string;
                            trays: {
                                single: number;
                                mass: number;
                                most: number;
                            };
                            basket: {
                                width: number;
                                length: number;
                                depth: number;
                            };
                            tubeToTray: number;
                            sheath: {
                                end: number;
                                express: number;
                                drop: number;
                            };
                            keep: {
                                strength: number;
                                centralTube: number;
                                aramid: number;
                                ripcord: number;
                                dropTube: number;
                                /** @default 2032 */
                                strengthAtFirst?: number;
                            };
                            /** @default 0 */
                            access?: number;
                            window: number;
                            clamp: number;
                            hoseClamp: number;
                            bushingBelow: number;
                            testKpa: number | null;
                            /** @default 5 */
                            testMinutes?: number;
                            /** @default [] */
                            bolts?: number[];
                            /** @default null */
                            torqueMilliNm?: number | null;
                            /**
                             * @default 60 mm
                             * @enum {string}
                             */
                            sleeve?: "60 mm" | "40 mm";
                            /** @default [] */
                            parts?: {
                                name: string;
                                count: number;
                                /** @enum {string} */
                                per: "closure" | "cable" | "tray";
                                /** @enum {string} */
                                from: "van" | "store";
                            }[];
                            ports: {
                                name: string;
                                takes: ("end" | "express" | "drop")[];
                                holes: number;
                                rows: {
                                    from: number;
                                    to: number;
                                    seal: string;
                                    layers: number;
                                    clip: string;
                                    bushing: boolean;
                                }[];
                            }[];
                            /** @default null */
                            procedure?: {
                                opening: {
                                    key: string;
                                    words: string;
                                    caution: ("blade" | "bladeTubes" | "shards" | "shardsOtherTubes" | "solvent" | "qualified" | "invisibleLight" | "handTools" | "pressure" | "height") | null;
                                    when: {
                                        entries: ("end" | "express" | "drop")[];
                                        traits: ("armoured" | "tracer" | "metallic" | "ribbon" | "tubes" | "groups" | "thin")[];
                                    };
                                    timerS: number | null;
                                    photo: boolean;
                                    asks: {
                                        key: string;
                                        words: string;
                                        /** @enum {string} */
                                        kind: "text" | "yes" | "number";
                                        unit: string;
                                    }[];
                                    work: ("rightCable" | "voltage" | "diameter" | "tracer" | "slitSeal" | "seal" | "fitSeal" | "mark" | "access" | "ring" | "sheath" | "edges" | "split" | "yarn" | "aramid" | "aramidTrim" | "centralTube" | "strength" | "strengthLong" | "bracket" | "tieToBracket" | "clamp" | "rackClamp" | "spacer" | "hose" | "shieldStud" | "bond" | "noneSqueezed" | "sealIn" | "groundStud" | "sealCap" | "bushing" | "gelChannel" | "wedgeIn" | "glandLoose" | "glandGrease" | "glandClamp" | "glandIn" | "units" | "score" | "dropTube" | "groups" | "tubesRound" | "wrap" | "pairs" | "cutSleeves" | "forks" | "pairsThrough" | "entryPlate" | "conduit" | "pairSleeves" | "route" | "spliceHolder" | "moduleEntry" | "trunkLoop" | "pigtailLoop" | "workingLength" | "holderOrder" | "warmTools" | "coreStrip" | "dropConnector") | null;
                                    /** @enum {string} */
                                    per: "cable" | "leg";
                                }[];
                                closing: {
                                    key: string;
                                    words: string;
                                    caution: ("blade" | "bladeTubes" | "shards" | "shardsOtherTubes" | "solvent" | "qualified" | "invisibleLight" | "handTools" | "pressure" | "height") | null;
                                    when: {
                                        entries: ("end" | "express" | "drop")[];
                                        traits: ("armoured" | "tracer" | "metallic" | "ribbon" | "tubes" | "groups" | "thin")[];
                                    };
                                    timerS: number | null;
                                    photo: boolean;
                                    asks: {
                                        key: string;
                                        words: string;
                                        /** @enum {string} */
                                        kind: "text" | "yes" | "number";
                                        unit: string;
                                    }[];
                                    work: ("trayLaid" | "traysStacked" | "tubesRouted" | "cableHeld" | "shieldBonded" | "tracerOut" | "portSealed" | "sealPin" | "wedgeLatched" | "facesClean" | "ringClean" | "gelClean" | "filmOff" | "gasketSeated" | "gasketGreased" | "sealant" | "bolts" | "boltsAgain" | "strapsOn" | "slotsHome" | "holdersIn" | "slackLaid" | "tiesOn" | "lidOn" | "domeIn" | "lipCaptured" | "domeTurned" | "ringOn" | "latchClosed" | "pinIn" | "collarTight" | "tabsLocked" | "housingOn" | "collarLocked" | "valveCap" | "mounted" | "slackStored" | "labelled") | null;
                                    /** @enum {string} */
                                    group: "trays" | "cables" | "ports" | "faces" | "bolts" | "cover" | "after";
                                }[];
                            } | null;
                        }[];
                        /** @default [] */
                        assemblies?: {
                            /** Format: uuid */
                            closureId: string;
                            hardwareId: string | null;
                            reach: number;
                            entries: {
                                /** Format: uuid */
                                id: string;
                                /** Format: uuid */
                                cableId: string;
                                /** @enum {string} */
                                kind: "end" | "express" | "drop";
                                diameter: number | null;
                                port: string | null;
                                /** @default null */
                                portOut?: string | null;
                                loop: number;
                                tubes: {
                                    unit: number;
                                    /** @enum {string} */
                                    way: "dedicate" | "window";
                                    /** @enum {string} */
                                    leg?: "in" | "out" | "both";
                                }[];
                                armoured: boolean;
                                tracer: boolean;
                                route: number;
                                inside: number;
                                /** @default 0 */
                                conduit?: number;
                                done: {
                                    step: string;
                                    by: string | null;
                                    at: string | null;
                                    /** @default {} */
                                    answers?: {
                                        [key: string]: string;
                                    };
                                    /** @default [] */
                                    photos?: string[];
                                    /** @default null */
                                    override?: string | null;
                                }[];
                            }[];
                        }[];
                        /** @default [] */
                        instruments?: ({
                            /** @constant */
                            kind: "splicer";
                            id: string;
                            name: string;
                            source: string;
                            programs: {
                                name: string;
                                glass: ("single-mode" | "multimode") | "any";
                                fibers: number;
                            }[];
                            heaterPrograms: {
                                name: string;
                                /** @enum {string} */
                                sleeve: "60 mm" | "40 mm" | "27 mm" | "ribbon";
                                seconds: number;
                            }[];
                            heaters: number;
                            holders: number[];
                            cleaveLengths: number[];
                            arcSeconds: number;
                            coolSeconds: number;
                            cleaveLimit: number;
                        } | {
                            /** @constant */
                            kind: "cleaver";
                            id: string;
                            name: string;
                            source: string;
                            cleaveLengths: number[];
                            positions: number;
                            cleaves: number;
                        })[];
                        /** @default [] */
                        splicerRecords?: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            splicerId: string;
                            number: number;
                            /** Format: date-time */
                            at: string;
                            label: string | null;
                            program: string;
                            heater: string | null;
                            fibers: {
                                position: number;
                                cleaveLeft: number | null;
                                cleaveRight: number | null;
                                offset: number | null;
                                gap: number | null;
                                image: {
                                    coreLeft: number | null;
                                    coreRight: number | null;
                                    edgeLeft: number | null;
                                    edgeRight: number | null;
                                } | null;
                                estimateMdb: number | null;
                                error: ("fiber too long" | "past center" | "cleave angle" | "chip" | "dirt" | "offset" | "not in groove" | "gap" | "tension" | "heater") | null;
                            }[];
                            fused: boolean;
                            tension: ("passed" | "failed" | "off") | null;
                            arcs: number;
                            glass: number;
                            temperature: number | null;
                            pressure: number | null;
                            humidity: number | null;
                            isFromFile?: boolean;
                            /**
                             * @default instrument
                             * @enum {string}
                             */
                            origin?: "instrument" | "simulated";
                            /** Format: date-time */
                            receivedAt: string;
                        }[];
                        /** @default [] */
                        setAside?: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            recordId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            why: string;
                        }[];
                        /** @default [] */
                        instrumentLog?: ({
                            /** @constant */
                            kind: "session";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            instrumentId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                        } | {
                            /** @constant */
                            kind: "arc check";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            instrumentId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            checkId: string;
                            round: number;
                            passed: boolean;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                            arcs: number;
                            air: {
                                temperature: number | null;
                                humidity: number | null;
                                pressure: number | null;
                            };
                        } | {
                            /** @constant */
                            kind: "electrodes";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            instrumentId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** @enum {string} */
                            what: "cleaned" | "replaced";
                            arcs: number;
                        } | {
                            /** @constant */
                            kind: "blade";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            instrumentId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** @enum {string} */
                            what: "turned" | "replaced";
                        } | {
                            /** @constant */
                            kind: "arcs";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            instrumentId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            count: number;
                        } | {
                            /** @constant */
                            kind: "counter";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            instrumentId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            arcs: number;
                        })[];
                        /** @default [] */
                        links?: ({
                            /** @constant */
                            kind: "reference";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            source: string;
                            meter: string;
                            calibratedUntil: string | null;
                            wavelengthNm: number;
                            cords: number;
                            powerMdbm: number;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                        } | {
                            /** @constant */
                            kind: "loss";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            cableId: string;
                            fiber: number;
                            /** @enum {string} */
                            direction: "AB" | "BA";
                            /** Format: uuid */
                            referenceId: string;
                            powerMdbm: number | null;
                            lossMdb: number | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                            /** @default null */
                            supersedes?: string | null;
                            /** @default false */
                            void?: boolean;
                            /** @default null */
                            why?: string | null;
                        } | {
                            /** @constant */
                            kind: "return loss";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            cableId: string;
                            fiber: number;
                            /** @enum {string} */
                            direction: "AB" | "BA";
                            wavelengthNm: number;
                            meter: string;
                            lossMdb: number;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                            /** @default null */
                            supersedes?: string | null;
                            /** @default false */
                            void?: boolean;
                            /** @default null */
                            why?: string | null;
                        } | {
                            /** @constant */
                            kind: "continuity";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            cableId: string;
                            fiber: number;
                            /** @enum {string} */
                            direction: "AB" | "BA";
                            /** @enum {string} */
                            seen: "here" | "none" | "elsewhere";
                            seenFiber: number | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                            /** @default null */
                            supersedes?: string | null;
                            /** @default false */
                            void?: boolean;
                            /** @default null */
                            why?: string | null;
                        })[];
                        /** @default [] */
                        traces?: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            name: string;
                            digest: string;
                            /** Format: date-time */
                            receivedAt: string;
                            /**
                             * @default instrument
                             * @enum {string}
                             */
                            origin?: "instrument" | "simulated";
                            /** Format: base64 */
                            bytes: string;
                        }[];
                        /** @default [] */
                        tracePlaces?: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            traceId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            cableId: string | null;
                            fiber: number | null;
                            direction: ("AB" | "BA") | null;
                            wavelengthNm: number | null;
                            /** @default null */
                            stage?: "reel" | null;
                            why: string | null;
                        }[];
                        evidence: ({
                            /** @constant */
                            type: "attempt";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            spliceId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            tryId: string;
                            estimateMdb: number | null;
                            /** @default null */
                            recordId?: string | null;
                            /** @default null */
                            recordPosition?: number | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                            supersedes: string | null;
                            void: boolean;
                            why: string | null;
                        } | {
                            /** @constant */
                            type: "reading";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            spliceId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            tryId: string | null;
                            /** @enum {string} */
                            grade: "one-way" | "insertion" | "two-way";
                            direction: ("AB" | "BA") | null;
                            wavelengthNm: number;
                            lossMdb: number;
                            /** @default null */
                            traceId?: string | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                            supersedes: string | null;
                            void: boolean;
                            why: string | null;
                        } | {
                            /** @constant */
                            type: "inspection";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            spliceId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            tryId: string | null;
                            face: ("pass" | "fail") | null;
                            light: ("seen" | "none") | null;
                            /** @default null */
                            marks?: {
                                coreScratches: number;
                                coreDefects: number;
                                claddingScratches: number;
                                claddingDefects: number;
                                claddingLargeDefects: number;
                                contactDefects: number;
                            } | null;
                            /** @default null */
                            cleanings?: number | null;
                            /** @default null */
                            photoId?: string | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                            supersedes: string | null;
                            void: boolean;
                            why: string | null;
                        } | {
                            /** @constant */
                            type: "ruling";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            spliceId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            tryId: string | null;
                            /** @enum {string} */
                            kind: "dead" | "skip" | "redo" | "waive" | "reopen" | "retire";
                            why: string;
                        })[];
                        /** @default [] */
                        closing?: ({
                            /** @constant */
                            kind: "visit";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** @enum {string} */
                            purpose: "build" | "mend" | "new drop" | "cut-over" | "look";
                            why: string | null;
                            crew: string[];
                            air: {
                                temperature: number | null;
                                humidity: number | null;
                                pressure: number | null;
                            };
                            sky: string;
                            instruments: string[];
                            hazards?: ("air" | "traffic" | "water" | "height" | "power")[];
                            dark?: {
                                detector: string;
                                releasedBy: string;
                            };
                        } | {
                            /** @constant */
                            kind: "leave";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            done: string;
                        } | {
                            /** @constant */
                            kind: "point";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            point: string;
                            read?: {
                                code: string;
                                parameters: {
                                    [key: string]: unknown;
                                };
                                text: string;
                            };
                            /** @enum {string} */
                            verdict: "good" | "bad" | "waived";
                            why: string | null;
                            /** @default [] */
                            slots?: number[];
                            /** @default [] */
                            photos?: string[];
                            answers?: {
                                [key: string]: string;
                            };
                        } | {
                            /** @constant */
                            kind: "round";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            targetPa: number;
                            limitPa: number;
                            /** @enum {string} */
                            unit: "psi" | "kPa" | "mbar" | "inH2O";
                            stepPa: number;
                            airPa: number;
                        } | {
                            /** @constant */
                            kind: "gauge";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            roundId: string;
                            gaugePa: number;
                            temperature: number | null;
                            /** @default null */
                            minute?: number | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
                        } | {
                            /** @constant */
                            kind: "bubbles";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            roundId: string;
                            places: string[];
                            /** @enum {string} */
                            seen: "bubbles" | "none" | "not checked";
                        } | {
                            /** @constant */
                            kind: "release";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            roundId: string;
                            /** @enum {string} */
                            before: "opening" | "mending" | "leaving";
                        } | {
                            /** @constant */
                            kind: "mend";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            roundId: string;
                            place: string;
                            what: string;
                        } | {
                            /** @constant */
                            kind: "cut-over";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            sleeves: {
                                fibers: number[];
                                minutes: number;
                            }[];
                            circuits: {
                                name: string;
                                fibers: number[];
                                weight: number;
                            }[];
                            /** Format: date-time */
                            start: string;
                        } | {
                            /** @constant */
                            kind: "circuit";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** Format: uuid */
                            cutOverId: string;
                            circuit: string;
                            /** @enum {string} */
                            state: "down" | "up";
                        } | {
                            /** @constant */
                            kind: "sign";
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** @enum {string} */
                            role: "technician" | "lead";
                            digest: string;
                            strokes: number[][];
                            isTyped?: boolean;
                            read?: {
                                code: string;
                                parameters: {
                                    [key: string]: unknown;
                                };
                                text: string;
                            }[];
                        })[];
                        /** @default [] */
                        photos?: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            width: number;
                            height: number;
                            /** Format: base64 */
                            bytes: string;
                        }[];
                        /** @default [] */
                        signed?: {
                            /** Format: uuid */
                            closureId: string;
                            digest: string;
                            content: string;
                        }[];
                        odd?: string[];
                    };
                    "application/zip": string;
                };
            };
            responses: {
                /** @description The project’s id: it is there */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description The project’s id: it is being written */
                202: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/imports": {
        parameters: {
        };
        /** Imports of whole projects that are under way */
        get: {
            parameters: {
            };
            responses: {
                /** @description The imports */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** Format: uuid */
                            projectId: string;
                            name: string;
                            /** @enum {string} */
                            stage: "writing" | "stopping" | "clearing" | "failed";
                            done: number;
                            total: number;
                            problem: string | null;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/imports/{projectId}": {
        parameters: {
        };
        /** Stop an import: nothing of it is kept. One that failed is forgotten, one that is over left as it is */
        delete: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The project’s id */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/csv/{kind}": {
        parameters: {
        };
        /** Fibers, trays, closures or splices as CSV (RFC 4180) */
        get: {
            parameters: {
                path: {
                    projectId: string;
                    kind: "fibers" | "trays" | "closures" | "splices";
                };
            };
            responses: {
                /** @description CSV */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "text/csv": string;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/packages": {
        parameters: {
        };
        /** As-built packages that were asked for, the newest first, with their progress */
        get: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description The packages */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            closureId: string | null;
                            /** @enum {string} */
                            paper: "A4" | "Letter";
                            by: string;
                            /** Format: date-time */
                            at: string;
                            /** @enum {string} */
                            state: "making" | "stopping" | "stopped" | "failed" | "done";
                            part: string;
                            done: number;
                            total: number;
                            problem: string | null;
                            size: number | null;
                            digest: string | null;
                        }[];
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
        /**
         * Ask for the as-built package of a project or of one closure
         * @description It is made in the background. The id is made by the client: asked twice is once.
         */
        post: {
            parameters: {
                path: {
                    projectId: string;
                };
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        /** Format: uuid */
                        closureId: string | null;
                        /** @enum {string} */
                        paper: "A4" | "Letter";
                        by: string;
                        /** Format: date-time */
                        at: string;
                    };
                };
            };
            responses: {
                /** @description Asked for */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/packages/{packageId}/stop": {
        parameters: {
        };
        /** Stop making a package; nothing of it is left */
        post: {
            parameters: {
                path: {
                    packageId: string;
                };
            };
            responses: {
                /** @description It stops */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/packages/{packageId}/file.zip": {
        parameters: {
        };
        /** A package that is made */
        get: {
            parameters: {
                path: {
                    packageId: string;
                };
            };
            responses: {
                /** @description The zip */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/zip": string;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/projects/{projectId}/labels.pdf": {
        parameters: {
        };
        /** Labels of a closure, or of all, on sheets */
        get: {
            parameters: {
                query: {
                    closure?: string;
                    kinds?: string;
                    sheet: "a4-24" | "a4-65" | "letter-30" | "letter-10";
                    skip?: number | null;
                    origin: string;
                };
                path: {
                    projectId: string;
                };
            };
            responses: {
                /** @description PDF */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/pdf": string;
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/live": {
        parameters: {
        };
        /** Whether the process answers; what it stands on is not asked */
        get: {
            parameters: {
            };
            responses: {
                /** @description It answers */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** @enum {string} */
                            status: "ok";
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
    "/api/health": {
        parameters: {
        };
        /** Whether the server is ready: it answers and reaches its database */
        get: {
            parameters: {
            };
            responses: {
                /** @description In good health */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            /** @enum {string} */
                            status: "ok";
                        };
                    };
                };
                /** @description A problem document (RFC 9457) */
                default: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/problem+json": components["schemas"]["Problem"];
                    };
                };
            };
        };
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        Problem: {
            type: string;
            title: string;
            status: number;
            detail: string;
            code?: string;
            parameters?: {
                [key: string]: unknown;
            };
            errors?: {
                place: string;
                detail: string;
                code?: string;
                parameters?: {
                    [key: string]: unknown;
                };
            }[];
        };
        Units: {
            /** @enum {string} */
            length: "mm" | "in";
            /** @enum {string} */
            distance: "km" | "m" | "mi" | "ft";
            /** @enum {string} */
            pressure: "psi" | "kPa" | "mbar" | "inH2O";
            /** @enum {string} */
            temperature: "C" | "F";
            /** @enum {string} */
            altitude: "m" | "ft";
            /** @enum {string} */
            paper: "A4" | "Letter";
            timeZone: string;
        };
        Limits: {
            name: string;
            source: string;
            splice: {
                estimate: {
                    single: number | null;
                    mass: number | null;
                };
                "one-way": {
                    single: number | null;
                    mass: number | null;
                };
                insertion: {
                    single: number | null;
                    mass: number | null;
                };
                "two-way": {
                    single: number | null;
                    mass: number | null;
                };
            };
            /**
             * @default {
             *       "mechanical": 500,
             *       "fused": 750
             *     }
             */
            ends: {
                mechanical: number | null;
                fused: number | null;
            };
            mean: {
                fiber: number | null;
                tray: number | null;
                closure: number | null;
            };
            /** @enum {string} */
            grade: "estimate" | "one-way" | "insertion" | "two-way";
            maxTries: number;
            wavelengths: number[];
        };
        Project: {
            /** Format: uuid */
            id: string;
            name: string;
            /** @default false */
            practiceOnly: boolean;
            units: components["schemas"]["Units"];
            schemeId: string;
            limits: components["schemas"]["Limits"];
            trayCapacity: {
                single: number;
                mass: number;
            };
            /**
             * @default {
             *       "tubeTool": "scorer",
             *       "gel": "at once",
             *       "trayFiber": 10000,
             *       "redos": 3,
             *       "redoConsumption": 400,
             *       "redoPercent": 5,
             *       "arc": {
             *         "when": "both",
             *         "arcs125": 300,
             *         "arcs400": 50,
             *         "temperature": 10,
             *         "humidity": 30,
             *         "pressure": 5,
             *         "streak": 3,
             *         "idleDays": 14
             *       },
             *       "adhesiveWait": 60,
             *       "workingLength": "mark 30 mm",
             *       "noTension": null,
             *       "dropEnd": "splice-on",
             *       "signers": "one or two",
             *       "leakLimit": 100
             *     }
             */
            practice: {
                /** @enum {string} */
                tubeTool: "scorer" | "stripper";
                /** @enum {string} */
                gel: "at once" | "after grouping";
                trayFiber: number;
                redos: number;
                redoConsumption: number;
                redoPercent: number;
                /**
                 * @default {
                 *       "when": "both",
                 *       "arcs125": 300,
                 *       "arcs400": 50,
                 *       "temperature": 10,
                 *       "humidity": 30,
                 *       "pressure": 5,
                 *       "streak": 3,
                 *       "idleDays": 14
                 *     }
                 */
                arc: {
                    /** @enum {string} */
                    when: "session" | "triggers" | "both";
                    arcs125: number;
                    arcs400: number;
                    temperature: number;
                    humidity: number;
                    pressure: number;
                    streak: number;
                    idleDays: number;
                };
                /** @default 60 */
                adhesiveWait: number;
                /**
                 * @default mark 30 mm
                 * @enum {string}
                 */
                workingLength: "mark 30 mm" | "past the holder";
                /** @default null */
                noTension: string | null;
                /**
                 * @default splice-on
                 * @enum {string}
                 */
                dropEnd: "splice-on" | "pigtail" | "mechanical";
                /**
                 * @default one or two
                 * @enum {string}
                 */
                signers: "one or two" | "two people";
                /** @default 100 */
                leakLimit: number;
            };
            /**
             * @default {
             *       "glass": [
             *         {
             *           "wavelengthNm": 1310,
             *           "usual": 340,
             *           "spread": 10,
             *           "most": 400
             *         },
             *         {
             *           "wavelengthNm": 1550,
             *           "usual": 200,
             *           "spread": 8,
             *           "most": 300
             *         },
             *         {
             *           "wavelengthNm": 1625,
             *           "usual": 230,
             *           "spread": 12,
             *           "most": 400
             *         }
             *       ],
             *       "splice": {
             *         "usual": 40,
             *         "spread": 30,
             *         "most": 300
             *       },
             *       "connector": {
             *         "usual": 250,
             *         "spread": 120,
             *         "most": 750
             *       },
             *       "connectors": 2,
             *       "most": null
             *     }
             */
            budget: {
                glass: {
                    usual: number;
                    spread: number;
                    most: number;
                    wavelengthNm: number;
                }[];
                splice: {
                    usual: number;
                    spread: number;
                    most: number;
                };
                connector: {
                    usual: number;
                    spread: number;
                    most: number;
                };
                connectors: number;
                most: number | null;
            };
            /** @default [] */
            route: {
                name: string;
                points: [
                    number,
                    number
                ][];
            }[];
            /** Format: date-time */
            createdAt: string;
        };
        Cable: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            name: string;
            makeUp: components["schemas"]["MakeUp"];
            /**
             * Format: uuid
             * @default null
             */
            closureId: string | null;
            schemeId: string;
            /**
             * @default {
             *       "type": "G.652.D",
             *       "mfd": null,
             *       "coating": 250
             *     }
             */
            glass: {
                /** @enum {string} */
                type: "G.652.D" | "G.657.A1" | "G.657.A2" | "G.655" | "OM1 62.5/125" | "OM3 50/125";
                mfd: number | null;
                coating: 200 | 250 | 900;
            };
            /**
             * @default {
             *       "helix": 10050,
             *       "marks": [],
             *       "end": null
             *     }
             */
            run: {
                helix: number;
                marks: {
                    /** Format: uuid */
                    closureId: string;
                    mark: number;
                }[];
                end: {
                    name: string;
                    distance: number | null;
                    mark: number | null;
                    coil: number;
                } | null;
                reel?: {
                    number: string;
                    length: number | null;
                };
            };
        };
        MakeUp: {
            /** @enum {string} */
            kind: "loose-tube";
            tubes: number;
            fibersPerTube: number;
        } | {
            /** @enum {string} */
            kind: "grouped-tube";
            tubes: number;
            groupsPerTube: number;
        } | {
            /** @enum {string} */
            kind: "ribbon";
            ribbons: number;
            fibersPerRibbon?: number;
            ribbonsPerTube?: number;
            /** @enum {boolean} */
            rollable?: true;
        } | {
            /** @enum {string} */
            kind: "drop";
            fibers: number;
        } | {
            /** @enum {string} */
            kind: "splitter";
            outputs: number;
            tapPercent?: number;
            lossMdb?: number;
        } | {
            /** @enum {string} */
            kind: "ports";
            /** @enum {string} */
            place: "terminal" | "panel" | "module";
            ports: number;
            /** @enum {string} */
            connector: "SC" | "LC" | "array";
            /** @enum {string} */
            polish: "UPC" | "APC";
        };
        Closure: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            name: string;
            ordinal: number;
            distance: number | null;
            /** Format: uuid */
            branchOf: string | null;
            /** @default null */
            position: [
                number,
                number
            ] | null;
            trays: components["schemas"]["Tray"][];
        };
        Tray: {
            single: number;
            mass: number;
            number: number;
        };
        ColourScheme: {
            id: string;
            name: string;
            source: string;
            /** @enum {string} */
            mark: "tracer" | "ring";
            colours: {
                name: string;
                code: string;
                hex: string;
                /** @default [] */
                aliases: string[];
            }[];
        };
        Hardware: {
            id: string;
            name: string;
            /** @enum {string} */
            form: "dome" | "in-line" | "drop" | "gland" | "wedge" | "rack" | "drop-end";
            source: string;
            trays: {
                single: number;
                mass: number;
                most: number;
            };
            basket: {
                width: number;
                length: number;
                depth: number;
            };
            tubeToTray: number;
            sheath: {
                end: number;
                express: number;
                drop: number;
            };
            keep: {
                strength: number;
                centralTube: number;
                aramid: number;
                ripcord: number;
                dropTube: number;
                /** @default 2032 */
                strengthAtFirst: number;
            };
            /** @default 0 */
            access: number;
            window: number;
            clamp: number;
            hoseClamp: number;
            bushingBelow: number;
            testKpa: number | null;
            /** @default 5 */
            testMinutes: number;
            /** @default [] */
            bolts: number[];
            /** @default null */
            torqueMilliNm: number | null;
            /**
             * @default 60 mm
             * @enum {string}
             */
            sleeve: "60 mm" | "40 mm";
            /** @default [] */
            parts: {
                name: string;
                count: number;
                /** @enum {string} */
                per: "closure" | "cable" | "tray";
                /** @enum {string} */
                from: "van" | "store";
            }[];
            ports: {
                name: string;
                takes: ("end" | "express" | "drop")[];
                holes: number;
                rows: {
                    from: number;
                    to: number;
                    seal: string;
                    layers: number;
                    clip: string;
                    bushing: boolean;
                }[];
            }[];
            /** @default null */
            procedure: {
                opening: {
                    key: string;
                    words: string;
                    /** @enum {string|null} */
                    caution: "blade" | "bladeTubes" | "shards" | "shardsOtherTubes" | "solvent" | "qualified" | "invisibleLight" | "handTools" | "pressure" | "height" | null;
                    when: {
                        entries: ("end" | "express" | "drop")[];
                        traits: ("armoured" | "tracer" | "metallic" | "ribbon" | "tubes" | "groups" | "thin")[];
                    };
                    timerS: number | null;
                    photo: boolean;
                    asks: {
                        key: string;
                        words: string;
                        /** @enum {string} */
                        kind: "text" | "yes" | "number";
                        unit: string;
                    }[];
                    /** @enum {string|null} */
                    work: "rightCable" | "voltage" | "diameter" | "tracer" | "slitSeal" | "seal" | "fitSeal" | "mark" | "access" | "ring" | "sheath" | "edges" | "split" | "yarn" | "aramid" | "aramidTrim" | "centralTube" | "strength" | "strengthLong" | "bracket" | "tieToBracket" | "clamp" | "rackClamp" | "spacer" | "hose" | "shieldStud" | "bond" | "noneSqueezed" | "sealIn" | "groundStud" | "sealCap" | "bushing" | "gelChannel" | "wedgeIn" | "glandLoose" | "glandGrease" | "glandClamp" | "glandIn" | "units" | "score" | "dropTube" | "groups" | "tubesRound" | "wrap" | "pairs" | "cutSleeves" | "forks" | "pairsThrough" | "entryPlate" | "conduit" | "pairSleeves" | "route" | "spliceHolder" | "moduleEntry" | "trunkLoop" | "pigtailLoop" | "workingLength" | "holderOrder" | "warmTools" | "coreStrip" | "dropConnector" | null;
                    /** @enum {string} */
                    per: "cable" | "leg";
                }[];
                closing: {
                    key: string;
                    words: string;
                    /** @enum {string|null} */
                    caution: "blade" | "bladeTubes" | "shards" | "shardsOtherTubes" | "solvent" | "qualified" | "invisibleLight" | "handTools" | "pressure" | "height" | null;
                    when: {
                        entries: ("end" | "express" | "drop")[];
                        traits: ("armoured" | "tracer" | "metallic" | "ribbon" | "tubes" | "groups" | "thin")[];
                    };
                    timerS: number | null;
                    photo: boolean;
                    asks: {
                        key: string;
                        words: string;
                        /** @enum {string} */
                        kind: "text" | "yes" | "number";
                        unit: string;
                    }[];
                    /** @enum {string|null} */
                    work: "trayLaid" | "traysStacked" | "tubesRouted" | "cableHeld" | "shieldBonded" | "tracerOut" | "portSealed" | "sealPin" | "wedgeLatched" | "facesClean" | "ringClean" | "gelClean" | "filmOff" | "gasketSeated" | "gasketGreased" | "sealant" | "bolts" | "boltsAgain" | "strapsOn" | "slotsHome" | "holdersIn" | "slackLaid" | "tiesOn" | "lidOn" | "domeIn" | "lipCaptured" | "domeTurned" | "ringOn" | "latchClosed" | "pinIn" | "collarTight" | "tabsLocked" | "housingOn" | "collarLocked" | "valveCap" | "mounted" | "slackStored" | "labelled" | null;
                    /** @enum {string} */
                    group: "trays" | "cables" | "ports" | "faces" | "bolts" | "cover" | "after";
                }[];
            } | null;
        };
        Assembly: {
            /** Format: uuid */
            closureId: string;
            hardwareId: string | null;
            reach: number;
            entries: {
                /** Format: uuid */
                id: string;
                /** Format: uuid */
                cableId: string;
                /** @enum {string} */
                kind: "end" | "express" | "drop";
                diameter: number | null;
                port: string | null;
                /** @default null */
                portOut: string | null;
                loop: number;
                tubes: {
                    unit: number;
                    /** @enum {string} */
                    way: "dedicate" | "window";
                    /** @enum {string} */
                    leg?: "in" | "out" | "both";
                }[];
                armoured: boolean;
                tracer: boolean;
                route: number;
                inside: number;
                /** @default 0 */
                conduit: number;
                done: {
                    step: string;
                    by: string | null;
                    /** Format: date-time */
                    at: string | null;
                    /** @default {} */
                    answers: {
                        [key: string]: string;
                    };
                    /** @default [] */
                    photos: string[];
                    /** @default null */
                    override: string | null;
                }[];
            }[];
        };
        Splice: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            /** Format: uuid */
            closureId: string;
            tray: number;
            slot: number;
            /** Format: uuid */
            cableA: string;
            fiberA: number;
            /**
             * @default null
             * @enum {string|null}
             */
            legA: "in" | "out" | null;
            /** Format: uuid */
            cableB: string;
            fiberB: number;
            /**
             * @default null
             * @enum {string|null}
             */
            legB: "in" | "out" | null;
            /** @enum {string} */
            method: "single" | "mass";
            /**
             * @default null
             * @enum {string|null}
             */
            end: "pigtail" | "splice-on" | "mechanical" | "breakout" | null;
            extra: {
                [key: string]: string;
            };
        };
        Evidence: {
            /** @enum {string} */
            type: "attempt";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            spliceId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            tryId: string;
            estimateMdb: number | null;
            /**
             * Format: uuid
             * @default null
             */
            recordId: string | null;
            /** @default null */
            recordPosition: number | null;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
            /** Format: uuid */
            supersedes: string | null;
            void: boolean;
            why: string | null;
        } | {
            /** @enum {string} */
            type: "reading";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            spliceId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            tryId: string | null;
            /** @enum {string} */
            grade: "one-way" | "insertion" | "two-way";
            /** @enum {string|null} */
            direction: "AB" | "BA" | null;
            wavelengthNm: number;
            lossMdb: number;
            /**
             * Format: uuid
             * @default null
             */
            traceId: string | null;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
            /** Format: uuid */
            supersedes: string | null;
            void: boolean;
            why: string | null;
        } | {
            /** @enum {string} */
            type: "inspection";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            spliceId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            tryId: string | null;
            /** @enum {string|null} */
            face: "pass" | "fail" | null;
            /** @enum {string|null} */
            light: "seen" | "none" | null;
            /** @default null */
            marks: {
                coreScratches: number;
                coreDefects: number;
                claddingScratches: number;
                claddingDefects: number;
                claddingLargeDefects: number;
                contactDefects: number;
            } | null;
            /** @default null */
            cleanings: number | null;
            /**
             * Format: uuid
             * @default null
             */
            photoId: string | null;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
            /** Format: uuid */
            supersedes: string | null;
            void: boolean;
            why: string | null;
        } | {
            /** @enum {string} */
            type: "ruling";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            spliceId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            tryId: string | null;
            /** @enum {string} */
            kind: "dead" | "skip" | "redo" | "waive" | "reopen" | "retire";
            why: string;
        };
        ClosingEntry: {
            /** @enum {string} */
            kind: "visit";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** @enum {string} */
            purpose: "build" | "mend" | "new drop" | "cut-over" | "look";
            why: string | null;
            crew: string[];
            air: components["schemas"]["Air"];
            sky: string;
            instruments: string[];
            hazards?: ("air" | "traffic" | "water" | "height" | "power")[];
            dark?: {
                detector: string;
                releasedBy: string;
            };
        } | {
            /** @enum {string} */
            kind: "leave";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            done: string;
        } | {
            /** @enum {string} */
            kind: "point";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            point: string;
            read?: {
                code: string;
                parameters: {
                    [key: string]: unknown;
                };
                text: string;
            };
            /** @enum {string} */
            verdict: "good" | "bad" | "waived";
            why: string | null;
            /** @default [] */
            slots: number[];
            /** @default [] */
            photos: string[];
            answers?: {
                [key: string]: string;
            };
        } | {
            /** @enum {string} */
            kind: "round";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            targetPa: number;
            limitPa: number;
            /** @enum {string} */
            unit: "psi" | "kPa" | "mbar" | "inH2O";
            stepPa: number;
            airPa: number;
        } | {
            /** @enum {string} */
            kind: "gauge";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            roundId: string;
            gaugePa: number;
            temperature: number | null;
            /** @default null */
            minute: number | null;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
        } | {
            /** @enum {string} */
            kind: "bubbles";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            roundId: string;
            places: string[];
            /** @enum {string} */
            seen: "bubbles" | "none" | "not checked";
        } | {
            /** @enum {string} */
            kind: "release";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            roundId: string;
            /** @enum {string} */
            before: "opening" | "mending" | "leaving";
        } | {
            /** @enum {string} */
            kind: "mend";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            roundId: string;
            place: string;
            what: string;
        } | {
            /** @enum {string} */
            kind: "cut-over";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            sleeves: {
                fibers: number[];
                minutes: number;
            }[];
            circuits: {
                name: string;
                fibers: number[];
                weight: number;
            }[];
            /** Format: date-time */
            start: string;
        } | {
            /** @enum {string} */
            kind: "circuit";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            cutOverId: string;
            circuit: string;
            /** @enum {string} */
            state: "down" | "up";
        } | {
            /** @enum {string} */
            kind: "sign";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            closureId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** @enum {string} */
            role: "technician" | "lead";
            digest: string;
            strokes: number[][];
            isTyped?: boolean;
            read?: {
                code: string;
                parameters: {
                    [key: string]: unknown;
                };
                text: string;
            }[];
        };
        Air: {
            temperature: number | null;
            humidity: number | null;
            pressure: number | null;
        };
        RecordChange: {
            /** @enum {string} */
            code: "openedAgain";
            by: string;
        } | {
            /** @enum {string} */
            code: "openedAgainFor";
            by: string;
            why: string;
        } | {
            /** @enum {string} */
            code: "added" | "removed" | "dropped" | "moved";
            splices: {
                pairs: {
                    cableA: string;
                    fiberA: number;
                    cableB: string;
                    fiberB: number;
                }[];
                most?: number;
            };
        } | {
            /** @enum {string} */
            code: "spliced" | "measured" | "ruled";
            entries: number;
            splices: {
                pairs: {
                    cableA: string;
                    fiberA: number;
                    cableB: string;
                    fiberB: number;
                }[];
                most?: number;
            };
        } | {
            /** @enum {string} */
            code: "closingEntries";
            entries: number;
        } | {
            /** @enum {string} */
            code: "assembly" | "hardware" | "plan" | "closure" | "cable" | "limits" | "photos";
        };
        AssemblyChange: {
            /** @enum {string} */
            kind: "hardware";
            hardwareId: string;
        } | {
            /** @enum {string} */
            kind: "reach";
            reach: number;
        } | {
            /** @enum {string} */
            kind: "add";
            entry: {
                /** Format: uuid */
                id: string;
                /** Format: uuid */
                cableId: string;
                /** @enum {string} */
                kind: "end" | "express" | "drop";
                diameter: number | null;
                port: string | null;
                /** @default null */
                portOut: string | null;
                loop: number;
                tubes: {
                    unit: number;
                    /** @enum {string} */
                    way: "dedicate" | "window";
                    /** @enum {string} */
                    leg?: "in" | "out" | "both";
                }[];
                armoured: boolean;
                tracer: boolean;
                route: number;
                inside: number;
                /** @default 0 */
                conduit: number;
                done: {
                    step: string;
                    by: string | null;
                    /** Format: date-time */
                    at: string | null;
                    /** @default {} */
                    answers: {
                        [key: string]: string;
                    };
                    /** @default [] */
                    photos: string[];
                    /** @default null */
                    override: string | null;
                }[];
            };
        } | {
            /** @enum {string} */
            kind: "enter";
            /** Format: uuid */
            entryId: string;
            part: {
                /** @enum {string} */
                kind?: "end" | "express" | "drop";
                diameter?: number | null;
                port?: string | null;
                loop?: number;
                tubes?: {
                    unit: number;
                    /** @enum {string} */
                    way: "dedicate" | "window";
                    /** @enum {string} */
                    leg?: "in" | "out" | "both";
                }[];
                armoured?: boolean;
                tracer?: boolean;
                route?: number;
                inside?: number;
                portOut?: string | null;
                conduit?: number;
            };
        } | {
            /** @enum {string} */
            kind: "remove";
            /** Format: uuid */
            entryId: string;
        } | {
            /** @enum {string} */
            kind: "tick";
            /** Format: uuid */
            entryId: string;
            step: string;
            /** @default null */
            by: string | null;
            /**
             * Format: date-time
             * @default null
             */
            at: string | null;
            /** @default {} */
            answers: {
                [key: string]: string;
            };
            /** @default [] */
            photos: string[];
            /** @default null */
            override: string | null;
            done: boolean;
        };
        LinkEntry: {
            /** @enum {string} */
            kind: "reference";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            by: string;
            /** Format: date-time */
            at: string;
            source: string;
            meter: string;
            /** Format: date */
            calibratedUntil: string | null;
            wavelengthNm: number;
            cords: number;
            powerMdbm: number;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
        } | {
            /** @enum {string} */
            kind: "loss";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            cableId: string;
            fiber: number;
            /** @enum {string} */
            direction: "AB" | "BA";
            /** Format: uuid */
            referenceId: string;
            powerMdbm: number | null;
            lossMdb: number | null;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
            /**
             * Format: uuid
             * @default null
             */
            supersedes: string | null;
            /** @default false */
            void: boolean;
            /** @default null */
            why: string | null;
        } | {
            /** @enum {string} */
            kind: "return loss";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            cableId: string;
            fiber: number;
            /** @enum {string} */
            direction: "AB" | "BA";
            wavelengthNm: number;
            meter: string;
            lossMdb: number;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
            /**
             * Format: uuid
             * @default null
             */
            supersedes: string | null;
            /** @default false */
            void: boolean;
            /** @default null */
            why: string | null;
        } | {
            /** @enum {string} */
            kind: "continuity";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            cableId: string;
            fiber: number;
            /** @enum {string} */
            direction: "AB" | "BA";
            /** @enum {string} */
            seen: "here" | "none" | "elsewhere";
            seenFiber: number | null;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
            /**
             * Format: uuid
             * @default null
             */
            supersedes: string | null;
            /** @default false */
            void: boolean;
            /** @default null */
            why: string | null;
        };
        ReceivedRecord: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            splicerId: string;
            number: number;
            /** Format: date-time */
            at: string;
            label: string | null;
            program: string;
            heater: string | null;
            fibers: {
                position: number;
                cleaveLeft: number | null;
                cleaveRight: number | null;
                offset: number | null;
                gap: number | null;
                image: {
                    coreLeft: number | null;
                    coreRight: number | null;
                    edgeLeft: number | null;
                    edgeRight: number | null;
                } | null;
                estimateMdb: number | null;
                /** @enum {string|null} */
                error: "fiber too long" | "past center" | "cleave angle" | "chip" | "dirt" | "offset" | "not in groove" | "gap" | "tension" | "heater" | null;
            }[];
            fused: boolean;
            /** @enum {string|null} */
            tension: "passed" | "failed" | "off" | null;
            arcs: number;
            glass: number;
            temperature: number | null;
            pressure: number | null;
            humidity: number | null;
            isFromFile?: boolean;
            /**
             * @default instrument
             * @enum {string}
             */
            origin: "instrument" | "simulated";
            /** Format: date-time */
            receivedAt: string;
            seq: number;
        };
        Instrument: {
            /** @enum {string} */
            kind: "splicer";
            id: string;
            name: string;
            source: string;
            programs: {
                name: string;
                glass: ("single-mode" | "multimode") | "any";
                fibers: number;
            }[];
            heaterPrograms: {
                name: string;
                /** @enum {string} */
                sleeve: "60 mm" | "40 mm" | "27 mm" | "ribbon";
                seconds: number;
            }[];
            heaters: number;
            holders: number[];
            cleaveLengths: number[];
            arcSeconds: number;
            coolSeconds: number;
            cleaveLimit: number;
        } | {
            /** @enum {string} */
            kind: "cleaver";
            id: string;
            name: string;
            source: string;
            cleaveLengths: number[];
            positions: number;
            cleaves: number;
        };
        InstrumentEntry: {
            /** @enum {string} */
            kind: "session";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            instrumentId: string;
            by: string;
            /** Format: date-time */
            at: string;
        } | {
            /** @enum {string} */
            kind: "arc check";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            instrumentId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** Format: uuid */
            checkId: string;
            round: number;
            passed: boolean;
            /**
             * @default typed
             * @enum {string}
             */
            origin: "instrument" | "typed" | "simulated";
            arcs: number;
            air: components["schemas"]["Air"];
        } | {
            /** @enum {string} */
            kind: "electrodes";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            instrumentId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** @enum {string} */
            what: "cleaned" | "replaced";
            arcs: number;
        } | {
            /** @enum {string} */
            kind: "blade";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            instrumentId: string;
            by: string;
            /** Format: date-time */
            at: string;
            /** @enum {string} */
            what: "turned" | "replaced";
        } | {
            /** @enum {string} */
            kind: "arcs";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            instrumentId: string;
            by: string;
            /** Format: date-time */
            at: string;
            count: number;
        } | {
            /** @enum {string} */
            kind: "counter";
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            instrumentId: string;
            by: string;
            /** Format: date-time */
            at: string;
            arcs: number;
        };
        SetAside: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            recordId: string;
            by: string;
            /** Format: date-time */
            at: string;
            why: string;
        };
        SplicerRecord: {
            /** Format: uuid */
            id: string;
            /** Format: uuid */
            projectId: string;
            splicerId: string;
            number: number;
            /** Format: date-time */
            at: string;
            label: string | null;
            program: string;
            heater: string | null;
            fibers: {
                position: number;
                cleaveLeft: number | null;
                cleaveRight: number | null;
                offset: number | null;
                gap: number | null;
                image: {
                    coreLeft: number | null;
                    coreRight: number | null;
                    edgeLeft: number | null;
                    edgeRight: number | null;
                } | null;
                estimateMdb: number | null;
                /** @enum {string|null} */
                error: "fiber too long" | "past center" | "cleave angle" | "chip" | "dirt" | "offset" | "not in groove" | "gap" | "tension" | "heater" | null;
            }[];
            fused: boolean;
            /** @enum {string|null} */
            tension: "passed" | "failed" | "off" | null;
            arcs: number;
            glass: number;
            temperature: number | null;
            pressure: number | null;
            humidity: number | null;
            isFromFile?: boolean;
            /**
             * @default instrument
             * @enum {string}
             */
            origin: "instrument" | "simulated";
        };
        Upload: {
            digest: string;
            size: number;
        };
        CorrectionMessage: {
            /** @enum {string} */
            code: "loops";
            closure: string;
            by: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            /** @enum {string} */
            longer: "yes" | "no";
            written: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            measured: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "place";
            closure: string;
            by: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            /** @enum {string} */
            farther: "yes" | "no";
        } | {
            /** @enum {string} */
            code: "spanMarks" | "span";
            cable: string;
            from: string;
            to: string;
            by: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            /** @enum {string} */
            longer: "yes" | "no";
        } | {
            /** @enum {string} */
            code: "spanLoop";
            cable: string;
            from: string;
            to: string;
            by: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            /** @enum {string} */
            longer: "yes" | "no";
            closure: string;
            written: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            measured: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "spanLoops";
            cable: string;
            from: string;
            to: string;
            by: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            /** @enum {string} */
            longer: "yes" | "no";
            closures: string[];
        };
        ProofMessage: {
            /** @enum {string} */
            code: "copyOfOther";
            label: string;
            files: {
                items: string[];
                most?: number;
            };
        } | {
            /** @enum {string} */
            code: "savedForSeveral";
            files: {
                items: string[];
                most?: number;
            };
        } | {
            /** @enum {string} */
            code: "noiseOnly";
            file: string;
        } | {
            /** @enum {string} */
            code: "groupIndex";
            files: {
                items: string[];
                most?: number;
            };
            index: string;
            usual: string;
            wavelengthNm: number;
        } | {
            /** @enum {string} */
            code: "otherWavelength";
            file: string;
            measured: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            usual: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            wavelengthNm: number;
            likelyNm: number;
        } | {
            /** @enum {string} */
            code: "lengthUnknown";
            cable: string;
        } | {
            /** @enum {string} */
            code: "scaleLong" | "scaleShort";
            percent: string;
            index: string;
            fitting: string;
        } | {
            /** @enum {string} */
            code: "receiveFiber";
            file: string;
            length: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "lostInNoise";
            file: string;
            label: string;
            from: {
                rangeM: number;
            };
        } | {
            /** @enum {string} */
            code: "rangeTooShort";
            file: string;
            label: string;
            range: {
                rangeM: number;
            };
            end: {
                rangeM: number;
            };
        } | {
            /** @enum {string} */
            code: "noEndSeen";
            file: string;
            range: {
                rangeM: number;
            };
        } | {
            /** @enum {string} */
            code: "endFromOneSide";
            label: string;
            /** @enum {string} */
            direction: "AB" | "BA";
            at: {
                placeM: number;
            };
        } | {
            /** @enum {string} */
            code: "launchFiber";
            files: {
                items: string[];
                most?: number;
            };
            length: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "otherWavelengths";
            label: string;
            ab: string[];
            ba: string[];
        } | {
            /** @enum {string} */
            code: "directionMissing";
            label: string;
            wavelengthNm: number;
            /** @enum {string} */
            missing: "AB" | "BA";
        } | {
            /** @enum {string} */
            code: "swapped";
            first: string;
            second: string;
            /** @enum {string} */
            direction: "AB" | "BA";
            wavelengthNm: number;
            /** @enum {string} */
            otherDirection: "AB" | "BA";
            otherNm: number;
            files: string[];
            otherFiles: string[];
        } | {
            /** @enum {string} */
            code: "cutOverSince";
            files: {
                items: string[];
                most?: number;
            };
            closure: string;
            day: {
                dayOf: string;
            };
        };
        FindingMessage: {
            /** @enum {string} */
            code: "notJoined";
            label: string;
            closure: string;
        } | {
            /** @enum {string} */
            code: "severalNotJoined";
            fibers: number;
            closure: string;
        } | {
            /** @enum {string} */
            code: "broken";
            label: string;
            at: {
                placeM: number;
            };
            /** @enum {string} */
            direction: "AB" | "BA";
        } | {
            /** @enum {string} */
            code: "brokenSamePlace" | "brokenTwoPlaces";
            label: string;
            at: {
                placeM: number;
            };
            /** @enum {string} */
            direction: "AB" | "BA";
            otherAt: {
                placeM: number;
            };
            /** @enum {string} */
            otherDirection: "AB" | "BA";
        } | {
            /** @enum {string} */
            code: "echo" | "echoOneWay";
            label: string;
            seen: {
                /** @enum {string} */
                direction: "AB" | "BA";
                wavelengthNm: number;
                loss: {
                    lossDb: number;
                    sigmaDb?: number;
                    decimals?: number;
                };
            }[];
        } | {
            /** @enum {string} */
            code: "unplanned" | "unplannedBend";
            label: string;
            seen: {
                /** @enum {string} */
                direction: "AB" | "BA";
                wavelengthNm: number;
                loss: {
                    lossDb: number;
                    sigmaDb?: number;
                    decimals?: number;
                };
            }[];
            /** @enum {string} */
            reflects: "yes" | "no";
        } | {
            /** @enum {string} */
            code: "reflects";
            label: string;
            peakDb: string;
            wavelengthNm: number;
            loss: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "highOneWay";
            label: string;
            /** @enum {string} */
            direction: "AB" | "BA";
            wavelengthNm: number;
            loss: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "highOneWayCorrected";
            label: string;
            /** @enum {string} */
            direction: "AB" | "BA";
            wavelengthNm: number;
            loss: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            corrected: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "bent";
            label: string;
            long: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            longNm: number;
            short: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            shortNm: number;
        } | {
            /** @enum {string} */
            code: "modeFields";
            label: string;
            difference: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            percent: number;
            alone: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            loss: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "badSplice";
            label: string;
            loss: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            wavelengthNm: number;
            limit: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            circuit: string;
        } | {
            /** @enum {string} */
            code: "goodOneWay";
            label: string;
            wavelengthNm: number;
            ab: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            ba: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            mean: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            high: number;
            fibers: number;
            closure: string;
        } | {
            /** @enum {string} */
            code: "trayHigh";
            tray: string;
            closure: string;
            high: number;
            fibers: number;
            median: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            usual: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            /** @enum {string} */
            bent: "yes" | "no";
        } | {
            /** @enum {string} */
            code: "ribbonEdges";
            closure: string;
            positions: string[];
            lossesDb: string[];
            usual: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
        };
        WhereMessage: {
            /** @enum {string} */
            code: "closure";
            closure: string;
        } | {
            /** @enum {string} */
            code: "tray";
            closure: string;
            tray: string;
        } | {
            /** @enum {string} */
            code: "slot";
            closure: string;
            tray: number;
            slot: number;
        } | {
            /** @enum {string} */
            code: "slotOffset";
            closure: string;
            tray: number;
            slot: number;
            offset: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            /** @enum {string} */
            side: "before" | "behind";
        } | {
            /** @enum {string} */
            code: "inLoop";
            cable: string;
            from: string;
            sheath: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "inLoopMark";
            cable: string;
            from: string;
            sheath: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            mark: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "along";
            cable: string;
            from: string;
            sheath: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            toward: string;
        } | {
            /** @enum {string} */
            code: "alongMark";
            cable: string;
            from: string;
            sheath: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
            toward: string;
            mark: {
                tapeM: number;
                errorM?: number;
                decimals?: number;
            };
        };
        BudgetMessage: {
            /** @enum {string} */
            code: "broken";
            where: components["schemas"]["WhereMessage"][];
        } | {
            /** @enum {string} */
            code: "deadFiber" | "lengthUnknown" | "noAttenuation";
        } | {
            /** @enum {string} */
            code: "over";
            by: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            wavelengthNm: number;
            loss: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            most: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "notSpliced";
            splices: number;
        } | {
            /** @enum {string} */
            code: "littleLeft";
            left: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            wavelengthNm: number;
            error: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
        } | {
            /** @enum {string} */
            code: "left";
            left: {
                lossDb: number;
                sigmaDb?: number;
                decimals?: number;
            };
            wavelengthNm: number;
        };
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export type operations = Record<string, never>;

/** Changes with the API: what was kept of answers of another one is not shown. */
export const API_DIGEST = '06632b359fee85eb';
