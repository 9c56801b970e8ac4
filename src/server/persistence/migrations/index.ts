import { Initial1764000000000 } from './1764000000000-initial';
import { BriefAndSketch1764100000000 } from './1764100000000-brief-and-sketch';
import { House1764200000000 } from './1764200000000-house';
import { StudioRecipes1764300000000 } from './1764300000000-studio-recipes';
import { PiecesAndSightings1764400000000 } from './1764400000000-pieces-and-sightings';
import { JoinedColumns1764500000000 } from './1764500000000-joined-columns';
import { PiecesRevision1764600000000 } from './1764600000000-pieces-revision';
import { DeliveryUnknown1764700000000 } from './1764700000000-delivery-unknown';
import { BriefFelt1764800000000 } from './1764800000000-brief-felt';
import { Studios1764900000000 } from './1764900000000-studios';
import { KnownFromBelow1765000000000 } from './1765000000000-known-from-below';
import { Hunt1765100000000 } from './1765100000000-hunt';
import { Arrivals1765200000000 } from './1765200000000-arrivals';
import { Cutting1765300000000 } from './1765300000000-cutting';
import { Balance1765400000000 } from './1765400000000-balance';
import { Plans1765500000000 } from './1765500000000-plans';
import { SupplyPlaces1765600000000 } from './1765600000000-supply-places';
import { Bench1765700000000 } from './1765700000000-bench';
import { ToldAtTheBench1765800000000 } from './1765800000000-told-at-the-bench';
import { Looks1765900000000 } from './1765900000000-looks';
import { CutOuts1766000000000 } from './1766000000000-cut-outs';
import { People1766100000000 } from './1766100000000-people';
import { Links1766200000000 } from './1766200000000-links';
import { LongJobs1766300000000 } from './1766300000000-long-jobs';
import { Closing1766400000000 } from './1766400000000-closing';
import { Bills1766500000000 } from './1766500000000-bills';
import { PhotosByLink1766600000000 } from './1766600000000-photos-by-link';

/** All migrations, oldest first. */
export const migrations = [
  Initial1764000000000,
  BriefAndSketch1764100000000,
  House1764200000000,
  StudioRecipes1764300000000,
  PiecesAndSightings1764400000000,
  JoinedColumns1764500000000,
  PiecesRevision1764600000000,
  DeliveryUnknown1764700000000,
  BriefFelt1764800000000,
  Studios1764900000000,
  KnownFromBelow1765000000000,
  Hunt1765100000000,
  Arrivals1765200000000,
  Cutting1765300000000,
  Balance1765400000000,
  Plans1765500000000,
  SupplyPlaces1765600000000,
  Bench1765700000000,
  ToldAtTheBench1765800000000,
  Looks1765900000000,
  CutOuts1766000000000,
  People1766100000000,
  Links1766200000000,
  LongJobs1766300000000,
  Closing1766400000000,
  Bills1766500000000,
  PhotosByLink1766600000000,
];
