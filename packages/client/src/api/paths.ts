// Written by `npm run api` from the routes of the server: change those.

export interface paths {
    "/api/projects": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** All projects, the newest first */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
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
                             *       "redoEats": 400,
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
                                redoEats: number;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A project with its cables, closures, colour schemes, hardware and what meets in its closures */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The project */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            project: {
                                /** Format: uuid */
                                id: string;
                                name: string;
                                /** @default false */
                                practiceOnly: boolean;
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
                                 *       "redoEats": 400,
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
                                    redoEats: number;
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
                            cables: {
                                /** Format: uuid */
                                id: string;
                                /** Format: uuid */
                                projectId: string;
                                name: string;
                                makeUp: {
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
                                } | {
                                    /** @enum {string} */
                                    kind: "drop";
                                    fibers: number;
                                };
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
                                };
                            }[];
                            closures: {
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
                                trays: {
                                    single: number;
                                    mass: number;
                                    number: number;
                                }[];
                            }[];
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
                                    aliases: string[];
                                }[];
                            }[];
                            hardware: {
                                id: string;
                                name: string;
                                /** @enum {string} */
                                form: "dome" | "in-line" | "drop" | "gland" | "rack";
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
                                };
                                window: number;
                                clamp: number;
                                hoseClamp: number;
                                bushingBelow: number;
                                testKpa: number;
                                /** @default 5 */
                                testMinutes: number;
                                /** @default [] */
                                bolts: number[];
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
                            }[];
                            assemblies: {
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
                                    loop: number;
                                    tubes: {
                                        unit: number;
                                        /** @enum {string} */
                                        way: "dedicate" | "window";
                                    }[];
                                    armoured: boolean;
                                    tracer: boolean;
                                    route: number;
                                    inside: number;
                                    done: string[];
                                }[];
                            }[];
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
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
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
                         *       "redoEats": 400,
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
                            redoEats: number;
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
                        base?: {
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
                             *       "redoEats": 400,
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
                                redoEats: number;
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
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/schemes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Colour schemes: those that ship and the users’ own */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The schemes */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/schemes/{schemeId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Add a colour scheme of your own, or change it */
        put: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    schemeId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
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
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/limits": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Limits that ship, each with its source */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The limits */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
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
                            mean: {
                                fiber: number | null;
                                tray: number | null;
                                closure: number | null;
                            };
                            /** @enum {string} */
                            grade: "estimate" | "one-way" | "insertion" | "two-way";
                            maxTries: number;
                            wavelengths: number[];
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/cables/{cableId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Add a cable or change its name, make-up or colour scheme */
        put: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    cableId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        /** Format: uuid */
                        projectId: string;
                        name: string;
                        makeUp: {
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
                        } | {
                            /** @enum {string} */
                            kind: "drop";
                            fibers: number;
                        };
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
                        };
                        base?: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            name: string;
                            makeUp: {
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
                            } | {
                                /** @enum {string} */
                                kind: "drop";
                                fibers: number;
                            };
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
                            };
                        };
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
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/closures/{closureId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Add a closure or change its name, place or trays */
        put: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
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
                        position?: [
                            number,
                            number
                        ] | null;
                        trays: {
                            single: number;
                            mass: number;
                            number: number;
                        }[];
                        base?: {
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
                            position?: [
                                number,
                                number
                            ] | null;
                            trays: {
                                single: number;
                                mass: number;
                                number: number;
                            }[];
                        };
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
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/closures/{closureId}/work": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A closure as the Bench needs it: its splices, those that were removed, and all their evidence in recorded order */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The closure */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            closure: {
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
                                trays: {
                                    single: number;
                                    mass: number;
                                    number: number;
                                }[];
                            };
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
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string} */
                                method: "single" | "mass";
                                extra: {
                                    [key: string]: string;
                                };
                            }[];
                            retired: {
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
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string} */
                                method: "single" | "mass";
                                extra: {
                                    [key: string]: string;
                                };
                            }[];
                            evidence: ({
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/geojson": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Import a route and closures as GeoJSON, all or nothing
         * @description Closures are found by their names; distances are along the line, on the ellipsoid. The same import sent again changes nothing.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/closures/{closureId}/closing": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What was done to close a closure, and what it is signed with */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The closing */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            entries: ({
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
                                air: {
                                    temperature: number | null;
                                    humidity: number | null;
                                    pressure: number | null;
                                };
                                sky: string;
                                instruments: string[];
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
                                read?: {
                                    code: string;
                                    parameters: {
                                        [key: string]: unknown;
                                    };
                                    text: string;
                                }[];
                            })[];
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
                                changes: ({
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
        put?: never;
        /**
         * Append what was done at a closure, all or nothing
         * @description Ids are made by the client: the same entries sent again change nothing.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: ({
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
                            air: {
                                temperature: number | null;
                                humidity: number | null;
                                pressure: number | null;
                            };
                            sky: string;
                            instruments: string[];
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
                            slots?: number[];
                            /** @default [] */
                            photos?: string[];
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
                            minute?: number | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
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
                            read?: {
                                code: string;
                                parameters: {
                                    [key: string]: unknown;
                                };
                                text: string;
                            }[];
                        })[];
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/closures/{closureId}/simulated-gauge": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Run the simulated gauge of a pressure test on by some minutes
         * @description In practice projects only. The same id sent again is the same readings.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/closures/{closureId}/record.json": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A closure’s record as it stands, as a signature would stand under it */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/photos": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Keep a photo with a closure’s record */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
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
                        bytes: string;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/photos/{photoId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A photo */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    photoId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/codes/{code}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The closure that a label’s code names */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    code: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/closures/{closureId}/plan": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The splice plan of a closure, and which of its splices are made already */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
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
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/circuits/{cableId}/{fiber}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A fiber followed through every closure to both ends */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The circuit */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/circuits": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What looks wrong in the circuits: shifts, flips, circles, unassigned ends */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                kind: "circle" | "twice" | "ends" | "shift" | "flip";
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/hardware": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Hardware profiles: those that ship and the users’ own */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The profiles */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            id: string;
                            name: string;
                            /** @enum {string} */
                            form: "dome" | "in-line" | "drop" | "gland" | "rack";
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
                            };
                            window: number;
                            clamp: number;
                            hoseClamp: number;
                            bushingBelow: number;
                            testKpa: number;
                            /** @default 5 */
                            testMinutes: number;
                            /** @default [] */
                            bolts: number[];
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/hardware/{hardwareId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Add a hardware profile of your own, or change it */
        put: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    hardwareId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        id: string;
                        name: string;
                        /** @enum {string} */
                        form: "dome" | "in-line" | "drop" | "gland" | "rack";
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
                        };
                        window: number;
                        clamp: number;
                        hoseClamp: number;
                        bushingBelow: number;
                        testKpa: number;
                        /** @default 5 */
                        testMinutes?: number;
                        /** @default [] */
                        bolts?: number[];
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
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/assemblies/{closureId}/changes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Change what meets in a closure: hardware, cables, ports, steps done
         * @description A change names only what it changes. The same change sent again changes nothing.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    closureId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
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
                            loop: number;
                            tubes: {
                                unit: number;
                                /** @enum {string} */
                                way: "dedicate" | "window";
                            }[];
                            armoured: boolean;
                            tracer: boolean;
                            route: number;
                            inside: number;
                            done: string[];
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
                            }[];
                            armoured?: boolean;
                            tracer?: boolean;
                            route?: number;
                            inside?: number;
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
                        done: boolean;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/records/{kind}/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /**
         * Delete a project, closure, cable, hardware profile, instrument or colour scheme
         * @description Only while nothing depends on it: what does is named otherwise. Putting the record again brings it back.
         */
        delete: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    kind: "project" | "closure" | "cable" | "hardware" | "instrument" | "scheme";
                    id: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/records/{kind}/{id}/archived": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /**
         * Put a record out of the way, or back
         * @description Nothing of it changes; lists to choose from leave it out.
         */
        put: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    kind: "project" | "closure" | "cable" | "hardware" | "instrument" | "scheme";
                    id: string;
                };
                cookie?: never;
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
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/splice-list": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Import a CSV splice list, all or nothing */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
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
                            tubeA?: number | null;
                            /** @default null */
                            fiberA?: number | null;
                            /** @default null */
                            cableB?: number | null;
                            /** @default null */
                            tubeB?: number | null;
                            /** @default null */
                            fiberB?: number | null;
                            /** @default null */
                            method?: number | null;
                        };
                        /**
                         * @default single
                         * @enum {string}
                         */
                        method?: "single" | "mass";
                        cables: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            projectId: string;
                            name: string;
                            makeUp: {
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
                            } | {
                                /** @enum {string} */
                                kind: "drop";
                                fibers: number;
                            };
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
                            };
                        }[];
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/evidence": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Append attempts, readings and rulings, all or nothing
         * @description Ids are made by the client: the same entries sent again change nothing.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: ({
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
                            recordId?: string | null;
                            /** @default null */
                            recordPosition?: number | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
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
                            traceId?: string | null;
                            /**
                             * @default typed
                             * @enum {string}
                             */
                            origin?: "instrument" | "typed" | "simulated";
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
                        })[];
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/changes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
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
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                entry: {
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
                            } | {
                                /** @enum {string} */
                                kind: "closing";
                                entry: {
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
                                    air: {
                                        temperature: number | null;
                                        humidity: number | null;
                                        pressure: number | null;
                                    };
                                    sky: string;
                                    instruments: string[];
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
                                    read?: {
                                        code: string;
                                        parameters: {
                                            [key: string]: unknown;
                                        };
                                        text: string;
                                    }[];
                                };
                            } | {
                                /** @enum {string} */
                                kind: "splicer-record";
                                record: {
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
                                    /**
                                     * @default instrument
                                     * @enum {string}
                                     */
                                    origin: "instrument" | "simulated";
                                    /** Format: date-time */
                                    receivedAt: string;
                                    seq: number;
                                };
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/changes/stream": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
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
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/bench": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Instruments, what was done to them, and which records count */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The bench */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            instruments: ({
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
                            })[];
                            log: ({
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
                                air: {
                                    temperature: number | null;
                                    humidity: number | null;
                                    pressure: number | null;
                                };
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
                            })[];
                            taken: string[];
                            setAside: {
                                /** Format: uuid */
                                id: string;
                                /** Format: uuid */
                                recordId: string;
                                by: string;
                                /** Format: date-time */
                                at: string;
                                why: string;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/splicer-records": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The newest records of splicers, oldest of them first; the changes go on from there */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The records */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
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
                            /**
                             * @default instrument
                             * @enum {string}
                             */
                            origin: "instrument" | "simulated";
                            /** Format: date-time */
                            receivedAt: string;
                            seq: number;
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
        put?: never;
        /**
         * Import what a splicer recorded
         * @description Kept as it comes. The same run of the same splicer sent again changes nothing.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        records: {
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
                            /**
                             * @default instrument
                             * @enum {string}
                             */
                            origin?: "instrument" | "simulated";
                        }[];
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/instruments/{instrumentId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        /** Add a splicer or cleaver of your own, or change it */
        put: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    instrumentId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
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
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/set-aside": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Say of records that they belong to no splice */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: {
                            /** Format: uuid */
                            id: string;
                            /** Format: uuid */
                            recordId: string;
                            by: string;
                            /** Format: date-time */
                            at: string;
                            why: string;
                        }[];
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/instrument-log": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Log sessions, arc checks and what was done to instruments */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        entries: ({
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
                            origin?: "instrument" | "typed" | "simulated";
                            arcs: number;
                            air: {
                                temperature: number | null;
                                humidity: number | null;
                                pressure: number | null;
                            };
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
                        })[];
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/standins/{splicerId}/arc": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Press the arc of the stand-in for this splicer */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                    splicerId: string;
                };
                cookie?: never;
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
                        /**
                         * @default {
                         *       "temperature": null,
                         *       "humidity": null,
                         *       "pressure": null
                         *     }
                         */
                        air?: {
                            temperature: number | null;
                            humidity: number | null;
                            pressure: number | null;
                        };
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/standins/{splicerId}/check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Run a round of an arc check on the stand-in */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                    splicerId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/standins/{splicerId}/service": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Clean the stand-in’s electrodes or turn its blade */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                    splicerId: string;
                };
                cookie?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/ledger/closures": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The project as a whole and every closure in route order */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                sumHalf: number;
                                maxHalf: number | null;
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
                                sumHalf: number;
                                maxHalf: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/ledger/trays": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
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
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                sumHalf: number;
                                maxHalf: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/ledger/fibers": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
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
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                sumHalf: number;
                                maxHalf: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/ledger/splices": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
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
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string} */
                                method: "single" | "mass";
                                /** Format: uuid */
                                headCable: string;
                                headFiber: number;
                                /** @enum {string} */
                                verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                redo: boolean;
                                grade: number | null;
                                half: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/ledger/redo": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Splices to be made again, with reasons */
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
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string} */
                                method: "single" | "mass";
                                /** Format: uuid */
                                headCable: string;
                                headFiber: number;
                                /** @enum {string} */
                                verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                redo: boolean;
                                grade: number | null;
                                half: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/ledger/search": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Fibers, splices, trays, closures and cables that a search line finds */
        get: {
            parameters: {
                query?: {
                    q?: string;
                    closureId?: string;
                };
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                    sumHalf: number;
                                    maxHalf: number | null;
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
                                    /** Format: uuid */
                                    cableB: string;
                                    fiberB: number;
                                    /** @enum {string} */
                                    method: "single" | "mass";
                                    /** Format: uuid */
                                    headCable: string;
                                    headFiber: number;
                                    /** @enum {string} */
                                    verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                    redo: boolean;
                                    grade: number | null;
                                    half: number | null;
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
                                    sumHalf: number;
                                    maxHalf: number | null;
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
                                    sumHalf: number;
                                    maxHalf: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/splices/{spliceId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A splice with all its evidence */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    spliceId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description The splice */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            splice: {
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
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string} */
                                method: "single" | "mass";
                                extra: {
                                    [key: string]: string;
                                };
                            };
                            evidence: ({
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/fibers/{cableId}/{fiber}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A fiber along the route: its splices from the head on */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                /** Format: uuid */
                                cableB: string;
                                fiberB: number;
                                /** @enum {string} */
                                method: "single" | "mass";
                                /** Format: uuid */
                                headCable: string;
                                headFiber: number;
                                /** @enum {string} */
                                verdict: "open" | "skipped" | "provisional" | "pass" | "fail" | "accepted" | "dead";
                                redo: boolean;
                                grade: number | null;
                                half: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/traces": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The traces of a project, in the order in which they came in */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                at: number;
                                pulseNs: number;
                                averages: number;
                                groupIndex: number;
                                spacing: number;
                                samples: number;
                                range: number;
                                events: number;
                                samplesDigest: string;
                                warnings: string[];
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
        put?: never;
        /**
         * Import a trace file, kept byte for byte, and say where it belongs
         * @description The same content sent again, under whatever name, is the trace that is here already.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** Format: uuid */
                        id: string;
                        name: string;
                        bytes: string;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/trace-places": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Say where traces belong, or set them aside */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/traces/{traceId}/file.sor": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A trace file as it came, byte for byte */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    traceId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/proof": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** What the traces prove: the fitted way, what is odd, what is bad, why and where */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                message: {
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
                            }[];
                            problems: {
                                kind: string;
                                circuit: string | null;
                                traces: string[];
                                message: {
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
                                    code: "shotTwice";
                                    label: string;
                                    /** @enum {string} */
                                    direction: "AB" | "BA";
                                    wavelengthNm: number;
                                    shots: number;
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
                            }[];
                            findings: {
                                /** @enum {string} */
                                cause: "break" | "connector" | "tray" | "ribbon edge" | "bend" | "mode field" | "splice" | "unplanned" | "ghost";
                                /** @enum {string} */
                                weight: "bad" | "look";
                                circuits: string[];
                                spliceIds: string[];
                                closureId: string | null;
                                message: {
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
                                where: ({
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
                                })[];
                                place: {
                                    from: string;
                                    closureId: string | null;
                                    toward: string;
                                    cable: string;
                                    sheath: number;
                                    sigma: number;
                                    inCoil: boolean;
                                    mark: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/proof/readings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Put the figures of all traces into the Ledger; the same once more changes nothing */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/proof/circuits/{cableId}/{fiber}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** One circuit with its traces laid along it */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                    cableId: string;
                    fiber: number;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                at: number | null;
                            }[];
                            spans: {
                                cable: string;
                                fiber: number;
                                sheath: number | null;
                            }[];
                            length: number;
                            traces: {
                                id: string;
                                name: string;
                                /** @enum {string} */
                                direction: "AB" | "BA";
                                wavelengthNm: number;
                                start: number;
                                stretch: number;
                                end: number | null;
                            }[];
                            peers: {
                                fiber: number;
                                id: string;
                                /** @enum {string} */
                                direction: "AB" | "BA";
                                wavelengthNm: number;
                                start: number;
                                stretch: number;
                                length: number;
                            }[];
                            joints: {
                                point: number;
                                wavelengthNm: number;
                                forward: {
                                    loss: number;
                                    sigma: number;
                                } | null;
                                backward: {
                                    loss: number;
                                    sigma: number;
                                } | null;
                                mean: {
                                    loss: number;
                                    sigma: number;
                                } | null;
                                modeField: {
                                    loss: number;
                                    sigma: number;
                                } | null;
                            }[];
                            totals: {
                                wavelengthNm: number;
                                mean: {
                                    loss: number;
                                    sigma: number;
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
                                message: {
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
                                where: ({
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
                                })[];
                                place: {
                                    from: string;
                                    closureId: string | null;
                                    toward: string;
                                    cable: string;
                                    sheath: number;
                                    sigma: number;
                                    inCoil: boolean;
                                    mark: number | null;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/budget": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Expected and measured loss of every circuit, those without light first */
        get: {
            parameters: {
                query?: {
                    offset?: number | null;
                    limit?: number;
                };
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
                                meters: number | null;
                                splices: number;
                                open: number;
                                /** @enum {string} */
                                lights: "broken" | "no" | "unsure" | "not joined" | "yes" | "unknown";
                                why: {
                                    /** @enum {string} */
                                    code: "broken";
                                    where: ({
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
                                    })[];
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
                                budgets: {
                                    wavelengthNm: number;
                                    expected: number;
                                    spread: number;
                                    made: number;
                                    madeSpread: number;
                                    measured: number | null;
                                    measuredSpread: number | null;
                                    most: number;
                                    margin: number;
                                    marginSpread: number;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/standin/otdr": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Shoot a circuit with the simulated OTDR */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/schemas/project.json": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The JSON Schema of a project document */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/document.json": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The whole project as one JSON document */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/project.zip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** The whole project as a zip: its document, and its traces and photos as files beside it */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/documents": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /**
         * Import a whole project, all or nothing: its document as JSON, or its zip
         * @description It is written piece by piece, and there for all once it is in; /imports tells how far it is. With `Prefer: respond-async` (RFC 7240) the answer comes when it is read and found right.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": {
                        /** @constant */
                        format: "cordel.project";
                        /** @constant */
                        version: 3;
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
                             *       "redoEats": 400,
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
                                redoEats: number;
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
                            } | {
                                /** @constant */
                                kind: "drop";
                                fibers: number;
                            };
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
                            /** Format: uuid */
                            cableB: string;
                            fiberB: number;
                            /** @enum {string} */
                            method: "single" | "mass";
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
                            form: "dome" | "in-line" | "drop" | "gland" | "rack";
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
                            };
                            window: number;
                            clamp: number;
                            hoseClamp: number;
                            bushingBelow: number;
                            testKpa: number;
                            /** @default 5 */
                            testMinutes?: number;
                            /** @default [] */
                            bolts?: number[];
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
                                loop: number;
                                tubes: {
                                    unit: number;
                                    /** @enum {string} */
                                    way: "dedicate" | "window";
                                }[];
                                armoured: boolean;
                                tracer: boolean;
                                route: number;
                                inside: number;
                                done: string[];
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/imports": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Imports of whole projects that are under way */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/imports/{projectId}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        post?: never;
        /** Stop an import: nothing of it is kept. One that failed is forgotten, one that is over left as it is */
        delete: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/csv/{kind}": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Fibers, trays, closures or splices as CSV (RFC 4180) */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                    kind: "fibers" | "trays" | "closures" | "splices";
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/packages": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** As-built packages that were asked for, the newest first, with their progress */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        /**
         * Ask for the as-built package of a project or of one closure
         * @description It is made in the background. The id is made by the client: asked twice is once.
         */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/packages/{packageId}/stop": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Stop making a package; nothing of it is left */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    packageId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/packages/{packageId}/file.zip": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** A package that is made */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    packageId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/projects/{projectId}/labels.pdf": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Labels of a closure on a sheet */
        get: {
            parameters: {
                query: {
                    closure: string;
                    kinds?: string;
                    sheet: "a4-24" | "a4-65" | "letter-30" | "letter-10";
                    skip?: number | null;
                    origin: string;
                };
                header?: never;
                path: {
                    projectId: string;
                };
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/health": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Whether the server answers and reaches its database */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
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
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
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
    };
    responses: never;
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export type operations = Record<string, never>;
